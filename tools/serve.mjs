import { spawn } from 'node:child_process'
import { get } from 'node:https'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { ROOT, ensureBuilt, ensureInstalled, fail } from './lib.mjs'

/** Whether an address can be listened on. */
function free(host, port) {
  return new Promise(resolve => {
    const probe = createServer()
    probe.once('error', error => resolve(error.code ?? 'taken'))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
}

/**
 * With `--shop` it listens on the network, sealed by a certificate of its own; only then is what makes one loaded, for
 * it has to be installed first.
 */
async function shopServer(port) {
  const { networkAddresses, shopCertificate } = await import('./certificate.mjs')
  const [address] = networkAddresses()
  if (!address) fail('This machine is on no network: start it without --shop.')
  const { cert, key, root, fingerprint } = shopCertificate(process.env.WILD_SPARROW_SHOP || join(ROOT, '.shop'))
  const network = `https://${address}:${port}`
  return {
    root,
    network,
    fingerprint,
    env: {
      NITRO_SSL_CERT: cert,
      NITRO_SSL_KEY: key,
      WILD_SPARROW_NETWORK: network,
      WILD_SPARROW_ROOT: root,
      WILD_SPARROW_FINGERPRINT: fingerprint,
    },
  }
}

async function printShop({ network, fingerprint }) {
  const { default: encodeQR } = await import('qr')
  console.log(`\n${encodeQR(`${network}/trust`, 'ascii')}`)
  console.log(
    `  On the shop's network it is at ${network}/\n  Scan the code with a phone: ${network}/trust says how it`,
  )
  console.log(`  comes to trust this machine. Its root's SHA-256:\n  ${fingerprint}`)
  console.log('  Anybody on this network can open the page; what the shop has is in its browsers, not here.\n')
}

/** Whether the application answers. */
const answers = (address, ca) =>
  ca
    ? new Promise(done => {
        get(address, { ca }, answer => {
          answer.resume()
          done(answer.statusCode === 200)
        }).on('error', () => done(false))
      })
    : fetch(address).then(
        response => response.ok,
        () => false,
      )

/** Installs and builds what is missing, starts the built application and prints its address. */
export async function serve({ demo, shop = process.argv.includes('--shop') }) {
  const host = process.env.HOST || (shop ? '0.0.0.0' : '127.0.0.1')
  const port = Number(process.env.PORT || 3000)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    fail(`PORT must be a whole number from 1 to 65535, not "${process.env.PORT}".`)
  ensureInstalled()
  ensureBuilt()
  const open = await free(host, port)
  if (open !== true)
    fail(
      `${host}:${port} cannot be used (${open}). Another program may be listening there: choose another with PORT=3001.`,
    )
  const network = shop ? await shopServer(port) : null
  const server = spawn(process.execPath, [join(ROOT, '.output/server/index.mjs')], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      ...network?.env,
      ...(demo ? { WILD_SPARROW_DEMO: '1' } : {}),
    },
  })
  /** Told to end, it finishes what it is at; still there after a while, it is ended all the same. */
  const end = signal => {
    server.kill(signal)
    setTimeout(() => server.kill('SIGKILL'), 8000)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => end(signal))
  // A package runner that is told to end does not always tell what it started: gone, the port is given back all the
  // same.
  const parent = process.ppid
  if (process.env.npm_lifecycle_event)
    setInterval(() => {
      if (process.ppid !== parent) end('SIGTERM')
    }, 300).unref()
  process.on('exit', () => server.kill('SIGTERM'))
  server.on('exit', code => process.exit(code ?? 0))
  const address = `http${network ? 's' : ''}://${host === '0.0.0.0' || host === '::' ? 'localhost' : host.includes(':') ? `[${host}]` : host}:${port}/`
  for (let tries = 0; tries < 100; tries++) {
    if (await answers(address, network?.root)) {
      console.log(`\n  Wild Sparrow${demo ? ', with the made-up shop,' : ''} is at ${address}\n  Ctrl C stops it.\n`)
      if (network) await printShop(network)
      return
    }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  fail('The server did not answer within ten seconds.')
}
