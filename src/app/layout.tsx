import '@fontsource/ibm-plex-mono/400.css'
import '@fontsource/ibm-plex-sans/400.css'
import '@fontsource/ibm-plex-sans/600.css'
import '@fontsource/source-serif-4/400.css'
import '@fontsource/source-serif-4/600.css'
import 'katex/dist/katex.min.css'
import type { Metadata } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { SkipLink } from '@/ui/SkipLink'
import { AppProvider } from '@/ui/theme/AppProvider'

export const metadata: Metadata = {
  title: { default: 'True Weight', template: '%s · True Weight' },
  description: 'Decides whether a sample of measurements supports a stated claim.',
}

export default async function RootLayout({ children }: Readonly<{ children: ReactNode }>) {
  const nonce = (await headers()).get('x-nonce') ?? ''
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <AppProvider nonce={nonce}>
          <SkipLink />
          {children}
        </AppProvider>
      </body>
    </html>
  )
}
