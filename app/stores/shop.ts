import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { ref, shallowRef, toRaw } from 'vue'
import type { Job, Kit } from '#core/job/job.schema'
import { EMPTY_KIT } from '#core/job/empty-kit'
import { db } from '~/db/database'
import { readKit, takeInFile, writeKit, type Imported } from '~/db/shelf'

/** The shop: the shelf of jobs and the kit. Follows the database, so that other tabs are seen. */
export const useShop = defineStore('shop', () => {
  const jobs = shallowRef<Job[]>([])
  const kit = shallowRef<Kit>(EMPTY_KIT)
  const ready = ref(false)

  async function open() {
    if (ready.value) return
    kit.value = await readKit()
    if (await db.jobs.count() === 0 && await db.facts.get('demo-offered') === undefined) await offerDemo()
    liveQuery(() => db.jobs.orderBy('updatedAt').reverse().toArray()).subscribe((found) => { jobs.value = found })
    liveQuery(readKit).subscribe((found) => { kit.value = found })
    jobs.value = await db.jobs.orderBy('updatedAt').reverse().toArray()
    kit.value = await readKit()
    ready.value = true
  }

  async function fetchDemo() {
    const response = await fetch('/api/demo')
    return response.ok ? await response.json() as { autoload: boolean, shop: unknown } : null
  }

  /** Started as a demo, an empty bench takes the made-up shop in, once. */
  async function offerDemo() {
    const demo = await fetchDemo().catch(() => null)
    if (demo?.autoload) await importText(JSON.stringify(demo.shop))
    await db.facts.put({ key: 'demo-offered', value: true })
  }

  async function loadDemo() {
    const demo = await fetchDemo().catch(() => null)
    return demo ? importText(JSON.stringify(demo.shop)) : { ok: false as const, issues: [{ path: '', message: 'the server does not answer; the demo comes from there' }] }
  }

  /** Reads a file; nothing changes unless all of it is sound. */
  async function importText(text: string): Promise<{ ok: true, report: Imported } | { ok: false, issues: { path: string, message: string }[] }> {
    const { readFile } = await import('#core/job/files')
    const file = readFile(text)
    if (!file.ok) return { ok: false, issues: [...file.issues] }
    return { ok: true, report: await takeInFile(file.jobs, file.kit) }
  }

  async function startJob(title: string, customer: string): Promise<string> {
    const { newJob } = await import('#core/job/new-job')
    const id = crypto.randomUUID()
    await db.jobs.add(newJob(id, title.trim() || 'Untitled part', customer.trim(), new Date().toISOString()))
    return id
  }

  async function saveKit(next: Kit) {
    kit.value = next
    await writeKit(structuredClone(toRaw(next)))
  }

  return { jobs, kit, ready, open, loadDemo, importText, startJob, saveKit, removeJob: (id: string) => db.jobs.delete(id) }
})
