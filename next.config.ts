import type { NextConfig } from 'next'

/** Packages that find their own files (WebAssembly, data) beside themselves, and so must not be bundled. */
const UNBUNDLED = ['@electric-sql/pglite']

const SECURITY_HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
}

const config: NextConfig = {
  output: 'standalone',
  outputFileTracingRoot: import.meta.dirname,
  outputFileTracingIncludes: {
    '/**': ['./src/data/migrations/**/*', './node_modules/@electric-sql/pglite/dist/*.{js,cjs,wasm,data}'],
  },
  serverExternalPackages: UNBUNDLED,
  // The content policy, which needs a new nonce for each page, is set in src/proxy.ts.
  headers: async () => [
    { source: '/(.*)', headers: Object.entries(SECURITY_HEADERS).map(([key, value]) => ({ key, value })) },
  ],
  // Browsers ask for it where a page has not named its icon yet.
  rewrites: async () => [{ source: '/favicon.ico', destination: '/icon.svg' }],
  poweredByHeader: false,
  reactStrictMode: true,
  // A keystroke then renders again only what it changes.
  reactCompiler: true,
  devIndicators: false,
  experimental: { optimizePackageImports: ['@chakra-ui/react'] },
}

export default config
