// A thread of the command line that answers lines beside the one that reads and writes them.
import { parentPort, workerData } from 'node:worker_threads'
import { compile } from './loadCli.mjs'

const { answerBatch } = compile()
let last = Promise.resolve()
parentPort.on('message', (lines) => {
  last = last.then(async () => parentPort.postMessage(await answerBatch(lines, workerData)))
})
