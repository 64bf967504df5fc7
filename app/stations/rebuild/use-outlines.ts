import { outlinesOf, outlinesSvg, type Drawn } from '#core/plan/rebuild/drawings'
import { download, fileName } from '~/composables/use-files'
import { useJob } from '~/stores/job'

/** Slug, boss and patch of the open job as files to cut by. */
export function useOutlines() {
  const store = useJob()
  const outlines = (what: Drawn) => (store.plan ? outlinesOf(store.job!, store.plan, what) : null)
  const name = (what: Drawn) => `${fileName(store.job!.title)}.${what}`
  async function saveDxf(what: Drawn) {
    const found = outlines(what)
    if (!found) return
    const { outlinesDxf } = await import('#core/groove/template')
    download(`${name(what)}.dxf`, outlinesDxf(found), 'image/vnd.dxf')
  }
  function saveSvg(what: Drawn) {
    const found = outlines(what)
    if (found) download(`${name(what)}.svg`, outlinesSvg(found, `${store.job!.title}: ${what}`), 'image/svg+xml')
  }
  return { saveDxf, saveSvg }
}
