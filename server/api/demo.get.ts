/** The made-up shop, and whether an empty bench should take it in by itself (started with `npm run demo`). */
export default defineEventHandler(async () => ({
  autoload: process.env.WILD_SPARROW_DEMO === '1',
  shop: await useStorage('assets:demo').getItem('larkmoor-bench.json'),
}))
