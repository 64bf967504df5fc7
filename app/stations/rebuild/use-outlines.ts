import type { Outline } from '#core/station/rebuild/drawings'
import { outlinesSvg } from '#core/station/rebuild/drawings'
import { download, fileName } from '~/composables/use-files'
import { useJob } from '~/stores/job'

/** Outlines of the open job's pieces as files to cut by. */
export function useOutlines() {
  const store = useJob()
  const name = (what: string) => `${fileName(store.job!.title)}.${what}`
  async function saveDxf(what: string, outlines: readonly Outline[] | null) {
    if (!outlines) return
    const { outlinesDxf } = await import('#core/groove/template')
    download(`${name(what)}.dxf`, outlinesDxf(outlines), 'image/vnd.dxf')
  }
  function saveSvg(what: string, outlines: readonly Outline[] | null) {
    if (outlines) download(`${name(what)}.svg`, outlinesSvg(outlines, `${store.job!.title}: ${what}`), 'image/svg+xml')
  }
  return { saveDxf, saveSvg }
}
