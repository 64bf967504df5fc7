import { ref, toRaw } from 'vue'
import type { Job } from '#core/job/job.schema'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'

function download(name: string, text: string) {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

const fileName = (title: string) => title.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'job'

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
    if (file.size > LARGEST_FILE_BYTES) report.value = { bad: true, text: `${file.name} is larger than 64 MB: not read. Nothing was changed.`, lines: [] }
    else {
      const taken = await shop.importText(await file.text()).catch((error: unknown) => ({ ok: false as const, issues: [{ path: '', message: error instanceof Error ? error.message : 'the browser would not store it' }] }))
      report.value = taken.ok
        ? { bad: false, text: `${file.name}: ${taken.report.added} new, ${taken.report.replaced} brought up to date, ${taken.report.kept} already here${taken.report.kit ? ', and the kit' : ''}.`, lines: [] }
        : { bad: true, text: `${file.name} was not taken in; nothing was changed.`, lines: taken.issues.map(issue => issue.path ? `${issue.path}: ${issue.message}` : issue.message) }
    }
    input.value = ''
  }

  async function saveJob(job: Job) {
    const { jobToText } = await import('#core/job/files')
    download(`${fileName(job.title)}.wild-sparrow-job.json`, jobToText(toRaw(job)))
  }

  async function saveShop() {
    const { shopToText } = await import('#core/job/files')
    download('wild-sparrow-shop.json', shopToText(await db.jobs.toArray(), toRaw(shop.kit), new Date().toISOString()))
  }

  return { report, bringIn, saveJob, saveShop }
}
