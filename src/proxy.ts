import { type NextRequest, NextResponse } from 'next/server'
import { actionRefusal } from './actionRequest'
import { refusalOf } from './ownSite'

const isDevelopment = process.env.NODE_ENV === 'development'
/** Refuses what comes from other sites, and lets a page run only the scripts and styles that were sent with it. */
export async function proxy(request: NextRequest) {
  const refusal = refusalOf(request)
  if (refusal) return new NextResponse(refusal, { status: 403 })

  const refused = await actionRefusal(request)
  if (refused) return new NextResponse(refused, { status: 400 })

  const nonce = Buffer.from(crypto.randomUUID()).toString('base64')
  const policy = contentPolicy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('Content-Security-Policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('Content-Security-Policy', policy)
  return response
}

/** Files are brought in past here, because what passes is kept in memory and cut off: their route refuses for itself. */
export const config = {
  matcher: '/((?!_next/static|_next/image|api/cases$|api/cases/[^/]+/samples$|api/backup$|api/v1/check$).*)',
}

function contentPolicy(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' 'nonce-${nonce}'`,
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}
