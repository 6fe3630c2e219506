import type { NextConfig } from 'next'

/** Packages that find their own files (WebAssembly, data) beside themselves, and so must not be bundled. */
const UNBUNDLED = [
  '@electric-sql/pglite',
  'pg',
  'pg-copy-streams',
  'piscina',
  'pdfkit',
  'fontkit',
  'docx',
  '@resvg/resvg-wasm',
]
/** What reports are made with, which the tracing of imports does not find. */
const REPORT_FILES = [
  './src/ui/report.css',
  './node_modules/@fontsource/{ibm-plex-sans,ibm-plex-mono,source-serif-4}/unicode.json',
  './node_modules/@fontsource/ibm-plex-sans/files/*-{latin,latin-ext,greek,cyrillic}-{400,600}-normal.woff*',
  './node_modules/@fontsource/source-serif-4/files/*-{latin,latin-ext,greek,cyrillic}-{400,600}-normal.woff*',
  './node_modules/@fontsource/ibm-plex-mono/files/*-{latin,latin-ext,cyrillic}-400-normal.woff*',
  './node_modules/dejavu-fonts-ttf/ttf/{DejaVuSans,DejaVuSans-Bold,DejaVuSerif,DejaVuSerif-Bold,DejaVuSansMono}.ttf',
  './node_modules/@resvg/resvg-wasm/index_bg.wasm',
]

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
    '/**': [
      './src/data/migrations/**/*',
      './node_modules/@electric-sql/pglite/dist/*.{js,cjs,wasm,data}',
      ...REPORT_FILES,
    ],
  },
  serverExternalPackages: UNBUNDLED,
  // The content policy, which needs a new nonce for each page, is set in src/proxy.ts.
  headers: async () => [
    { source: '/(.*)', headers: Object.entries(SECURITY_HEADERS).map(([key, value]) => ({ key, value })) },
  ],
  // Browsers ask for it where a page has not named its icon yet.
  rewrites: async () => [{ source: '/favicon.ico', destination: '/icon.svg' }],
  // Whoever comes to a page by a link is given its title with it, not a moment after.
  htmlLimitedBots: /.*/,
  // Types are checked by `npm test`; checking them again would lengthen every first start.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  reactStrictMode: true,
  // A keystroke then renders again only what it changes.
  reactCompiler: true,
  devIndicators: false,
  experimental: {
    // A server begins sooner, and keeps in memory what is asked for.
    preloadEntriesOnStart: false,
    // A first build, which is the one that somebody waits for, is a tenth sooner without.
    turbopackFileSystemCacheForBuild: false,
    turbopackSourceMaps: false,
    // Eleven pages come with a copy each of much the same code: making each small takes a quarter of the build, for 20 MB less of a server.
    turbopackMinify: { server: false, edge: false, client: true },
  },
}

export default config
