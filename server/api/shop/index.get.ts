/** Where this server is on the shop's network, and its root's fingerprint; null where it is on this machine alone. */
export default defineEventHandler(() => ({
  network: process.env.WILD_SPARROW_NETWORK ?? null,
  fingerprint: process.env.WILD_SPARROW_FINGERPRINT ?? null,
}))
