import { X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { createServer, get } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { shopCertificate } from './certificate.mjs'

const folder = mkdtempSync(join(tmpdir(), 'ws-shop-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const NAMES = ['192.168.7.5', '127.0.0.1', 'localhost', 'bench']

describe("a shop's certificate", () => {
  const first = shopCertificate(folder, NAMES)
  it('is signed by a root of its own, for the names it is asked for and for no longer than a phone takes', () => {
    const [leaf, root] = [new X509Certificate(first.cert), new X509Certificate(first.root)]
    expect([leaf.checkIssued(root), leaf.verify(root.publicKey), root.ca, leaf.ca]).toEqual([true, true, true, false])
    expect([leaf.checkIP('192.168.7.5'), leaf.checkHost('bench'), leaf.checkHost('elsewhere')]).toEqual([
      '192.168.7.5',
      'bench',
      undefined,
    ])
    const days = (Date.parse(leaf.validTo) - Date.parse(leaf.validFrom)) / 86_400_000
    expect(days).toBeLessThanOrEqual(398)
    expect(first.fingerprint).toBe(root.fingerprint256)
  })
  it('is kept, its key for its owner alone; the root stays when the names change', () => {
    expect(statSync(join(folder, 'root.key')).mode & 0o077).toBe(0)
    expect(shopCertificate(folder, NAMES).cert).toBe(first.cert)
    const moved = shopCertificate(folder, [...NAMES, '10.0.0.9'])
    expect(moved.cert).not.toBe(first.cert)
    expect(moved.root).toBe(first.root)
    expect(readFileSync(join(folder, 'root.crt'), 'utf8')).toBe(first.root)
  })
  it('is taken by a client that trusts the root, and by no other', async () => {
    const { cert, key, root } = shopCertificate(folder, NAMES)
    const server = createServer({ cert, key }, (_, answer) => answer.end('ok'))
    await new Promise<void>(done => server.listen(0, '127.0.0.1', done))
    const { port } = server.address() as AddressInfo
    const asked = (ca?: string) =>
      new Promise<number | string>(done => {
        get({ host: '127.0.0.1', port, ...(ca ? { ca } : {}) }, answer => {
          answer.resume()
          done(answer.statusCode!)
        }).on('error', (error: NodeJS.ErrnoException) => done(error.code!))
      })
    expect(await asked(root)).toBe(200)
    expect(await asked()).toMatch(/SELF_SIGNED|UNABLE_TO_VERIFY/)
    server.close()
  })
})
