import { createHash, generateKeyPairSync, randomBytes, X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { hostname, networkInterfaces } from 'node:os'
import { join } from 'node:path'
import forge from 'node-forge'

const { pki } = forge
const DAY_MS = 86_400_000
/** A root of one's own is trusted for so long; a server's certificate by no phone for longer than 398 days. */
const [ROOT_DAYS, LEAF_DAYS, RENEW_DAYS] = [3650, 390, 30]

/** The addresses by which this machine is known on its network, IPv4. */
export const networkAddresses = () =>
  Object.values(networkInterfaces())
    .flat()
    .filter(found => found && !found.internal && found.family === 'IPv4')
    .map(({ address }) => address)

/** Keys come from Node itself: the library's own take seconds. */
function keyPair() {
  const { privateKey, publicKey } = generateKeyPairSync('rsa', {
    modulusLength: 2048,
    privateKeyEncoding: { type: 'pkcs1', format: 'pem' },
    publicKeyEncoding: { type: 'spki', format: 'pem' },
  })
  return { privateKey: pki.privateKeyFromPem(privateKey), publicKey: pki.publicKeyFromPem(publicKey) }
}

function certificate({ subject, issuer, days, publicKey, signedWith, extensions }) {
  const made = pki.createCertificate()
  made.publicKey = publicKey
  // Positive, as the standard wants it (RFC 5280, 4.1.2.2).
  made.serialNumber = `00${randomBytes(16).toString('hex')}`
  made.validity.notBefore = new Date(Date.now() - DAY_MS)
  made.validity.notAfter = new Date(Date.now() + days * DAY_MS)
  made.setSubject([{ name: 'commonName', value: subject }])
  made.setIssuer([{ name: 'commonName', value: issuer }])
  made.setExtensions(extensions)
  made.sign(signedWith, forge.md.sha256.create())
  return made
}

function newRoot() {
  const { privateKey, publicKey } = keyPair()
  const subject = `Wild Sparrow on ${hostname().slice(0, 40)}`
  const made = certificate({
    subject,
    issuer: subject,
    days: ROOT_DAYS,
    publicKey,
    signedWith: privateKey,
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      { name: 'subjectKeyIdentifier' },
    ],
  })
  return { cert: pki.certificateToPem(made), key: pki.privateKeyToPem(privateKey) }
}

function newLeaf(root, names) {
  const { privateKey, publicKey } = keyPair()
  const issuer = pki.certificateFromPem(root.cert)
  const made = certificate({
    subject: 'Wild Sparrow',
    issuer: issuer.subject.getField('CN').value,
    days: LEAF_DAYS,
    publicKey,
    signedWith: pki.privateKeyFromPem(root.key),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map(name => (/^[\d.]+$/.test(name) ? { type: 7, ip: name } : { type: 2, value: name })),
      },
      { name: 'authorityKeyIdentifier', keyIdentifier: issuer.generateSubjectKeyIdentifier().getBytes() },
    ],
  })
  return { cert: pki.certificateToPem(made), key: pki.privateKeyToPem(privateKey) }
}

/** A certificate and its key as they lie in a folder; null where they are not both there. */
function kept(folder, name) {
  const [cert, key] = [join(folder, `${name}.crt`), join(folder, `${name}.key`)]
  return existsSync(cert) && existsSync(key)
    ? { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') }
    : null
}
function keep(folder, name, { cert, key }) {
  writeFileSync(join(folder, `${name}.crt`), cert)
  // Whoever has the key can speak as this machine to those who trust the root.
  writeFileSync(join(folder, `${name}.key`), key, { mode: 0o600 })
  return { cert, key }
}
const lastsFor = ({ cert }, days) => Date.parse(new X509Certificate(cert).validTo) - Date.now() > days * DAY_MS

/**
 * A certificate for this machine's names, signed by a root of its own. The root is made once and kept, so that a phone
 * trusts it once; the certificate is made anew whenever it runs out or the machine is known by other names.
 * @param folder where both are kept
 * @param names addresses and host names that it is to be good for
 */
export function shopCertificate(folder, names = [...networkAddresses(), '127.0.0.1', 'localhost', hostname()]) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const before = kept(folder, 'root')
  const root = before && lastsFor(before, RENEW_DAYS) ? before : keep(folder, 'root', newRoot())
  const leaf = kept(folder, 'server')
  const own = leaf && new X509Certificate(leaf.cert)
  const fits =
    leaf &&
    lastsFor(leaf, RENEW_DAYS) &&
    own.checkIssued(new X509Certificate(root.cert)) &&
    names.every(name => (/^[\d.]+$/.test(name) ? own.checkIP(name) : own.checkHost(name)))
  const { cert, key } = fits ? leaf : keep(folder, 'server', newLeaf(root, names))
  const der = new X509Certificate(root.cert).raw
  return {
    cert,
    key,
    root: root.cert,
    fingerprint: createHash('sha256').update(der).digest('hex').toUpperCase().match(/../g).join(':'),
  }
}
