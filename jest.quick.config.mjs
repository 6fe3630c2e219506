import config from './jest.config.mjs'

/** What answers within a minute; `*.long.test.ts` is run by `npm test` too. */
const quick = async () => ({
  ...(await config()),
  testPathIgnorePatterns: ['/node_modules/', '\\.long\\.test\\.ts$'],
})

export default quick
