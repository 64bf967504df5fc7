import { ref, toRaw } from 'vue'
import type { Job } from '#core/job/job.schema'
import { db } from '~/db/database'
import { bundledFiles } from '~/db/files'
import type { Imported } from '~/db/shelf'
import { useShop } from '~/stores/shop'

/** Hands bytes or text to the reader as a file. */
export function download(name: string, content: string | Uint8Array, type = 'application/json') {
  const url = URL.createObjectURL(new Blob([typeof content === 'string' ? content : content.slice()], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A title as the name of a file. */
export const fileName = (title: string) => title.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'job'

/** What a merge did, a line a job: which fields came from where. */
const mergeLines = ({ merged }: Imported) => merged.filter(entry => entry.changed.length).map(({ title, changed }) => {
  const by = (from: string) => changed.filter(entry => entry.from === from).map(entry => entry.field)
  const says = [['from the file', by('theirs')], ['newer here', by('ours')], ['both kept', by('both')]] as const
  return `${title}: ${says.filter(([, fields]) => fields.length).map(([words, fields]) => `${words}: ${fields.slice(0, 8).join(', ')}${fields.length > 8 ? ` and ${fields.length - 8} more` : ''}`).join('; ')}`
})

export interface FileReport { bad: boolean, text: string, lines: string[] }

/** Files in and out of the bench, with a report in words. */
export function useFiles() {
  const shop = useShop()
  const report = ref<FileReport | null>(null)

  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return
    const { LARGEST_FILE_BYTES } = await import('#core/job/files')
    if (file.size > LARGEST_FILE_BYTES) report.value = { bad: true, text: `${file.name} is larger than 256 MB: not read. Nothing was changed.`, lines: [] }
    else {
      const taken = await shop.importBytes(new Uint8Array(await file.arrayBuffer())).catch((error: unknown) => ({ ok: false as const, issues: [{ path: '', message: error instanceof Error ? error.message : 'the browser would not store it' }] }))
      report.value = taken.ok
        ? { bad: false, text: `${file.name}: ${taken.report.added} new, ${taken.report.replaced} brought up to date, ${taken.report.kept} already here${taken.report.kit ? ', and the kit' : ''}.`, lines: mergeLines(taken.report) }
        : { bad: true, text: `${file.name} was not taken in; nothing was changed.`, lines: taken.issues.map(issue => issue.path ? `${issue.path}: ${issue.message}` : issue.message) }
    }
    input.value = ''
  }

  /** Plain JSON where there are no pictures, a zip with them where there are. */
  async function save(name: string, text: string, jobs: readonly Job[]) {
    const files = await bundledFiles(jobs)
    if (!files.length) return download(`${name}.json`, text)
    const { packBundle } = await import('#core/job/bundle')
    download(`${name}.zip`, packBundle(text, files), 'application/zip')
  }

  async function saveJob(job: Job) {
    const { jobToText } = await import('#core/job/files')
    await save(`${fileName(job.title)}.wild-sparrow-job`, jobToText(toRaw(job)), [toRaw(job)])
  }

  async function saveShop() {
    const { shopToText } = await import('#core/job/files')
    const jobs = await db.jobs.toArray()
    await save('wild-sparrow-shop', shopToText(jobs, toRaw(shop.kit), new Date().toISOString()), jobs)
  }

  /** All jobs and all logs as tables for a spreadsheet. */
  async function saveTables() {
    const { jobsCsv, logCsv } = await import('#core/job/tables')
    const jobs = await db.jobs.toArray()
    download('wild-sparrow-jobs.csv', jobsCsv(jobs), 'text/csv')
    download('wild-sparrow-log.csv', logCsv(jobs), 'text/csv')
  }

  return { report, bringIn, saveJob, saveShop, saveTables }
}
