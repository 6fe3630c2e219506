// Serves the application: `npm start` with the user's own data, `npm run demo` with the demo's.
import http from 'node:http'
import { createServer } from 'node:net'
import { setTimeout as wait } from 'node:timers/promises'
import { pathToFileURL } from 'node:url'
import { parseArgs } from 'node:util'
import { build, SERVER } from './build.mjs'
import { dataFolder } from './dataFolder.mjs'
import { buildCli, WORKER } from './buildCli.mjs'
import { run } from './install.mjs'
import { ensureNewDatabase } from './newDatabase.mjs'
import { checkSettings, isPort, PORT } from './settings.mjs'

const FIRST_PORT = 4180
const MAX_PORTS = 50
/** Whoever begins a request has to say in this time what it is. */
const HEADERS_MS = 15_000
/** A server that listens everywhere is reached here. */
const REACHED_AT = { '0.0.0.0': '127.0.0.1', '::': '::1' }
/** As browsers name whom they ask. */
const HOST = /^[^\s/@,]+$/
const USAGE = `Options:
  --data FOLDER      where the data are kept; with DATABASE_URL set, they are on that PostgreSQL server
  --port NUMBER      listen there (else the first free one from ${FIRST_PORT})
  --host ADDRESS     listen on this address (else 127.0.0.1, which only this machine reaches)
  --allow-host NAME  answer to this host name too, with its port: may be given more than once
  --demo             serve the demo, in a data folder of its own
  --dev              serve the sources as they change, for developers`

const { values: options } = readOptions()

try {
  await serve()
} catch (error) {
  console.error(error.message)
  process.exit(1)
}

async function serve() {
  if (options.help) return console.log(USAGE)
  checkSettings()
  const named = options['allow-host'].find((name) => !HOST.test(name))
  if (named !== undefined)
    throw new Error(
      `--allow-host is “${named}”; it has to be a name as browsers show it, such as office.example or office.example:4180.`,
    )
  const host = options.host
  const port = await choosePort(host)
  const data = dataFolder(options)
  Object.assign(process.env, {
    TRUE_WEIGHT_DATA: data,
    TRUE_WEIGHT_WORKER: WORKER,
    TRUE_WEIGHT_DEMO: options.demo ? '1' : '0',
    TRUE_WEIGHT_ADDRESS: `http://${bracketed(REACHED_AT[host] ?? host)}:${port}`,
    TRUE_WEIGHT_HOSTS: [`${host}:${port}`, ...options['allow-host']].join(','),
    NEXT_TELEMETRY_DISABLED: '1',
    HOSTNAME: host,
    PORT: String(port),
  })
  await (options.dev ? buildCli() : build())
  process.env.TRUE_WEIGHT_NEW_DATABASE = ensureNewDatabase()
  if (options.dev)
    return run('npx', ['--no-install', 'next', 'dev', '--hostname', host, '--port', String(port)])
  limitRequests()
  process.env.NODE_ENV = 'production'
  await import(pathToFileURL(SERVER).href)
  const place = process.env.DATABASE_URL ? 'on the server in DATABASE_URL' : `in ${data}`
  await untilAnswered(`http://${bracketed(host)}:${port}/`)
  console.log(
    `\nTrue Weight is at http://${bracketed(host)}:${port}/\nIts data are ${place}\nCtrl+C ends it.`,
  )
}

/**
 * Next makes the server itself: where it asks for one it is given shorter times, and no address that is no text, which would
 * end as an error of its own.
 */
function limitRequests() {
  const make = http.createServer
  http.createServer = (...args) => {
    const [options, listener] = typeof args[0] === 'function' ? [{}, args[0]] : args
    return make(
      { ...options, headersTimeout: HEADERS_MS, connectionsCheckingInterval: 5000 },
      (request, response) =>
        isText(request.url) ? listener(request, response) : response.writeHead(400).end(NO_TEXT),
    )
  }
}

const NO_TEXT = 'The address is no text in UTF-8.'

function isText(address) {
  try {
    decodeURIComponent(address.split('?')[0])
    return true
  } catch {
    return false
  }
}

function readOptions() {
  try {
    return parseArgs({
      options: {
        data: { type: 'string' },
        port: { type: 'string' },
        host: { type: 'string', default: '127.0.0.1' },
        'allow-host': { type: 'string', multiple: true, default: [] },
        demo: { type: 'boolean', default: false },
        dev: { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
      },
    })
  } catch (error) {
    console.error(`${error.message}\n${USAGE}`)
    process.exit(2)
  }
}

async function choosePort(host) {
  if (options.port !== undefined) {
    if (!isPort(options.port)) throw new Error(`--port is “${options.port}”; it has to be ${PORT}.`)
    const port = Number(options.port)
    const another = 'Name another with --port, or leave --port out.'
    if (!(await isFree(host, port))) throw new Error(`Port ${port} on ${host} is taken. ${another}`)
    if (!(await isReached(port))) throw new Error(`Port ${port} is one that no browser goes to. ${another}`)
    return port
  }
  for (let port = FIRST_PORT; port < FIRST_PORT + MAX_PORTS; port += 1) {
    if ((await isFree(host, port)) && (await isReached(port))) return port
  }
  throw new Error(
    `No port from ${FIRST_PORT} to ${FIRST_PORT + MAX_PORTS - 1} is free on ${host}. Name one with --port.`,
  )
}

function isFree(host, port) {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', (error) =>
      error.code === 'EADDRINUSE' ? resolve(false) : reject(notListened({ host, port, error })),
    )
    probe.listen({ host, port }, () => probe.close(() => resolve(true)))
  })
}

function notListened({ host, port, error }) {
  return new Error(
    `No server can listen on ${host}, port ${port} (${error.code}). ` +
      'Name an address of this machine with --host, such as 127.0.0.1 or 0.0.0.0, and a port from 1024 on with --port.',
  )
}

/** Some ports, such as 4190, are kept from whoever asks for pages, since other services are usual there. */
async function isReached(port) {
  try {
    // Something else may listen there, and say nothing.
    await fetch(`http://127.0.0.1:${port}/`, { signal: AbortSignal.timeout(1000) })
    return true
  } catch (error) {
    return error.cause?.message !== 'bad port'
  }
}

async function untilAnswered(address) {
  for (;;) {
    try {
      const { ok } = await fetch(address)
      if (ok) return
    } catch {
      // It does not listen yet.
    }
    await wait(100)
  }
}

function bracketed(host) {
  return host.includes(':') ? `[${host}]` : host
}
