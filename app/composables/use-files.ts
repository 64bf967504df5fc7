import { ref, toRaw } from 'vue'
import type { JobCorrected } from '#core/job/files'
import type { Job } from '#core/job/job.schema'
import type { Damaged } from '#core/job/out'
import { db } from '~/db/database'
import { bundledFiles, soundFiles } from '~/db/files'
import type { Imported } from '~/db/shelf'
import { useShop } from '~/stores/shop'
import { filesWorker } from './files-worker'
import { refusalWords } from './refusal'

/** Hands bytes or text to the reader as a file. */
export function download(name: string, content: string | Uint8Array | Blob, type = 'application/json') {
  const url = URL.createObjectURL(new Blob([content instanceof Uint8Array ? content.slice() : content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A title as the name of a file. */
export const fileName = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'job'

/** What a merge did, a line a job: which fields came from where. */
const mergeLines = ({ merged }: Imported) =>
  merged
    .filter(entry => entry.changed.length)
    .map(({ title, changed }) => {
      const by = (from: string) => changed.filter(entry => entry.from === from).map(entry => entry.field)
      const says = [
        ['from the file', by('theirs')],
        ['newer here', by('ours')],
        ['both kept', by('both')],
      ] as const
      return `${title}: ${says
        .filter(([, fields]) => fields.length)
        .map(
          ([words, fields]) =>
            `${words}: ${fields.slice(0, 8).join(', ')}${fields.length > 8 ? ` and ${fields.length - 8} more` : ''}`,
        )
        .join('; ')}`
    })

/** What a file held that was put right, or not taken, a line each. */
const otherLines = ({ corrected, clashes }: Imported & { corrected: readonly JobCorrected[] }) => [
  ...corrected.flatMap(({ title, readings }) =>
    readings.map(
      ({ path, typed, was, now }) =>
        `${title}: ${path} held ${was ?? 'nothing'} under “${typed}”; taken as ${now ?? 'not understood'}`,
    ),
  ),
  ...clashes.map(name => `${name} differs from the file of that name here; the one here stays`),
]

export interface FileReport {
  bad: boolean
  text: string
  lines: string[]
}

/** Files in and out of the bench, with a report in words. */
export function useFiles() {
  const shop = useShop()
  const report = ref<FileReport | null>(null)

  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (file) await bringInFile(file)
    input.value = ''
  }
  async function bringInFile(file: File) {
    const { LARGEST_FILE_BYTES } = await import('#core/job/files')
    if (file.size > LARGEST_FILE_BYTES)
      report.value = {
        bad: true,
        text: `${file.name} is larger than 256 MB: not read. Nothing was changed.`,
        lines: [],
      }
    else {
      const taken = await shop
        .importBytes(new Uint8Array(await file.arrayBuffer()))
        .catch((error: unknown) => ({ ok: false as const, issues: [{ path: '', message: refusalWords(error) }] }))
      report.value = taken.ok
        ? {
            bad: false,
            text: `${file.name}: ${taken.report.added} new, ${taken.report.replaced} brought up to date, ${taken.report.kept} already here${taken.report.kit ? ', and the kit' : ''}.`,
            lines: [...mergeLines(taken.report), ...otherLines(taken.report)],
          }
        : {
            bad: true,
            text: `${file.name} was not taken in; nothing was changed.`,
            lines: taken.issues.map(issue => (issue.path ? `${issue.path}: ${issue.message}` : issue.message)),
          }
    }
  }

  /**
   * Plain JSON where there are no pictures, a zip with them where there are. A picture that is damaged stays behind,
   * named.
   */
  async function save(name: string, text: string, jobs: readonly Job[]): Promise<string[]> {
    const { files, left } = soundFiles(await bundledFiles(jobs))
    if (files.length) download(`${name}.zip`, await filesWorker().pack(text, files), 'application/zip')
    else download(`${name}.json`, text)
    return left
  }

  /** What is damaged goes out by itself, with all of its words. */
  function saveDamaged(damaged: readonly Damaged[]) {
    download('wild-sparrow-damaged.json', JSON.stringify({ kind: 'wild-sparrow/damaged', things: damaged }, null, 2))
  }

  async function saveJob(job: Job) {
    const out = await filesWorker().jobOut(toRaw(job))
    if (!out.ok) {
      saveDamaged([out.damaged])
      report.value = {
        bad: true,
        text: `${job.title} could not be brought back as it is; its words went out instead.`,
        lines: [out.damaged.why],
      }
      return
    }
    const left = await save(`${fileName(job.title)}.wild-sparrow-job`, out.text, [out.job])
    report.value = left.length ? { bad: true, text: 'Taken out, but not all of it.', lines: left } : null
  }

  /** The whole shop, read back before it is offered; what is damaged goes out apart and holds nothing back. */
  async function saveShop() {
    const out = await filesWorker().shopFile(db.name, structuredClone(toRaw(shop.kit)), new Date().toISOString())
    if (out.zipped) download('wild-sparrow-shop.zip', out.blob, 'application/zip')
    else download('wild-sparrow-shop.json', out.blob)
    shop.noteDamaged(out.damaged)
    if (out.damaged.length) saveDamaged(out.damaged)
    const lines = [...out.damaged.map(({ title, why }) => `${title}: ${why}`), ...out.left]
    report.value = lines.length
      ? {
          bad: true,
          text: `Taken out: ${out.jobs} jobs. What follows is damaged${out.damaged.length ? ' and went out apart, with its words, as wild-sparrow-damaged.json' : ''}.`,
          lines,
        }
      : null
  }

  /** All jobs and all logs as tables for a spreadsheet. */
  async function saveTables() {
    const { jobsCsv, logCsv } = await import('#core/job/tables')
    const { jobs, damaged } = await filesWorker().sorted(await db.jobs.toArray())
    shop.noteDamaged(damaged)
    download('wild-sparrow-jobs.csv', jobsCsv(jobs), 'text/csv')
    download('wild-sparrow-log.csv', logCsv(jobs), 'text/csv')
  }

  return { report, bringIn, bringInFile, saveJob, saveShop, saveTables, saveDamaged }
}
