import { type NextRequest, NextResponse } from 'next/server'

const isDevelopment = process.env.NODE_ENV === 'development'
/** Names by which this machine calls itself: any other Host header comes from a page that was pointed here. */
const OWN_NAMES = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
const SAFE_METHODS = ['GET', 'HEAD', 'OPTIONS']

/** Refuses what comes from other sites, and lets a page run only the scripts and styles that were sent with it. */
export function proxy(request: NextRequest) {
  const refusal = refuse(request)
  if (refusal) return new NextResponse(refusal, { status: 403 })

  const nonce = Buffer.from(crypto.randomUUID()).toString('base64')
  const policy = contentPolicy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('Content-Security-Policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('Content-Security-Policy', policy)
  return response
}

export const config = { matcher: '/((?!_next/static|_next/image).*)' }

function refuse(request: NextRequest): string | undefined {
  const host = request.headers.get('host') ?? ''
  const allowed = process.env.TRUE_WEIGHT_HOSTS?.split(',') ?? []
  if (!OWN_NAMES.test(host) && !allowed.includes(host)) {
    return `The host name ${host} is not one that this server answers to. Start it with --allow-host ${host} if it should.`
  }
  const origin = request.headers.get('origin')
  const isOwn = origin === null || origin === `${request.nextUrl.protocol}//${host}`
  if (!SAFE_METHODS.includes(request.method) && !isOwn) {
    return `A page of ${origin} may not change anything here.`
  }
  return undefined
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
