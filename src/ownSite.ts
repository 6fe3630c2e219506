/** Names by which this machine calls itself: any other Host header comes from a page that was pointed here. */
const OWN_NAMES = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
const SAFE_METHODS = ['GET', 'HEAD', 'OPTIONS']

/** Why a request is refused that comes from another site or by another name; undefined for one of our own. */
export function refusalOf(request: Request): string | undefined {
  const host = (request.headers.get('host') ?? '').toLowerCase()
  const allowed = (process.env.TRUE_WEIGHT_HOSTS ?? '').toLowerCase().split(',').filter(Boolean)
  if (!OWN_NAMES.test(host) && !allowed.includes(host)) {
    return `The host name ${host} is not one that this server answers to. Start it with --allow-host ${host} if it should.`
  }
  const origin = request.headers.get('origin')
  const site = request.headers.get('sec-fetch-site') ?? 'none'
  const isOwn =
    (origin === null || origin.toLowerCase() === `${new URL(request.url).protocol}//${host}`) &&
    (site === 'same-origin' || site === 'none')
  if (!SAFE_METHODS.includes(request.method) && !isOwn) {
    return `A page of ${origin ?? 'another site'} may not change anything here.`
  }
  return undefined
}
