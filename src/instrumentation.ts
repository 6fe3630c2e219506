/** Opens the database before the first page is asked for. */
export async function register() {
  if (process.env.NEXT_RUNTIME === 'nodejs') {
    const { openOrExit } = await import('@/server/keeping/openOrExit')
    await openOrExit()
  }
}
