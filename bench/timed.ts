const TIMES = 7

/** The median time of a few runs, in milliseconds, after one to warm up. */
export function timed(run: () => unknown): number {
  run()
  const times = Array.from({ length: TIMES }, () => {
    const start = performance.now()
    run()
    return performance.now() - start
  })
  return times.sort((a, b) => a - b)[Math.floor(TIMES / 2)]!
}
