import type { NextConfig } from 'next'

/** Packages that find their own files (WebAssembly, data) beside themselves, and so must not be bundled. */
const UNBUNDLED = ['@electric-sql/pglite']

const config: NextConfig = {
  output: 'standalone',
  outputFileTracingRoot: import.meta.dirname,
  outputFileTracingIncludes: {
    '/**': ['./src/data/migrations/**/*', './node_modules/@electric-sql/pglite/dist/*.{js,cjs,wasm,data}'],
  },
  serverExternalPackages: UNBUNDLED,
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  experimental: { optimizePackageImports: ['@chakra-ui/react'] },
}

export default config
