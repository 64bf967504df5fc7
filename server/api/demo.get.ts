/**
 * The made-up shop with its pictures, and whether an empty bench should take it in by itself (started with `npm run
 * demo`).
 */
export default defineEventHandler(async () => {
  const assets = useStorage('assets:demo')
  const shop = await assets.getItem<{ jobs: { id: string; pictures: { id: string; name: string }[] }[] }>(
    'larkmoor-bench.json',
  )
  const pictures = (shop?.jobs ?? []).flatMap(job => job.pictures.map(({ id, name }) => ({ id, name, jobId: job.id })))
  const files = await Promise.all(
    pictures.map(async ({ id, name, jobId }) => {
      const bytes = await assets.getItemRaw<Uint8Array>(`pictures/${id}.jpg`)
      return bytes
        ? [{ id, jobId, kind: 'picture', name, type: 'image/jpeg', base64: Buffer.from(bytes).toString('base64') }]
        : []
    }),
  )
  return { autoload: process.env.WILD_SPARROW_DEMO === '1', shop, files: files.flat() }
})
