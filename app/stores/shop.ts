import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { ref, shallowRef, toRaw } from 'vue'
import type { Card } from '#core/job/card'
import type { Kit } from '#core/job/job.schema'
import { EMPTY_KIT } from '#core/job/empty-kit'
import type { BundledFile } from '#core/job/bundle'
import { db } from '~/db/database'
import { removeJob } from '~/db/files'
import { upgradeStored } from '~/db/upgrade'
import { addJob, readKit, takeInFile, writeKit, type Imported } from '~/db/shelf'

/** Enough for the first screen. */
const FIRST_CARDS = 40

type Taken = { ok: true, report: Imported } | { ok: false, issues: { path: string, message: string }[] }

const unpacked = ({ base64, ...file }: Omit<BundledFile, 'bytes'> & { base64: string }): BundledFile => ({ ...file, bytes: Uint8Array.from(atob(base64), letter => letter.charCodeAt(0)) })

/** The shop: the shelf of jobs and the kit. Follows the database, so that other tabs are seen. */
export const useShop = defineStore('shop', () => {
  /** The shelf's cards, newest first; all of them once the shelf has been looked at. */
  const cards = shallowRef<Card[]>([])
  const kit = shallowRef<Kit>(EMPTY_KIT)
  const ready = ref(false)
  /** Titles of stored jobs that this version cannot read. */
  const unread = ref<string[]>([])

  async function open() {
    if (ready.value) return
    unread.value = await upgradeStored()
    kit.value = await readKit()
    if (await db.jobs.count() === 0 && await db.facts.get('demo-offered') === undefined) await offerDemo()
    liveQuery(readKit).subscribe((found) => { kit.value = found })
    ready.value = true
  }

  async function fetchDemo() {
    const response = await fetch('/api/demo')
    return response.ok ? await response.json() as { autoload: boolean, shop: unknown, files: (Omit<BundledFile, 'bytes'> & { base64: string })[] } : null
  }

  /** Started as a demo, an empty bench takes the made-up shop in, once. */
  async function offerDemo() {
    const demo = await fetchDemo().catch(() => null)
    if (demo?.autoload) await importText(JSON.stringify(demo.shop), demo.files.map(unpacked))
    await db.facts.put({ key: 'demo-offered', value: true })
  }

  async function loadDemo() {
    const demo = await fetchDemo().catch(() => null)
    return demo ? importText(JSON.stringify(demo.shop), demo.files.map(unpacked)) : { ok: false as const, issues: [{ path: '', message: 'the server does not answer; the demo comes from there' }] }
  }

  /** Reads a file; nothing changes unless all of it is sound. */
  async function importText(text: string, files: readonly BundledFile[] = []): Promise<Taken> {
    const { readFile } = await import('#core/job/files')
    const file = readFile(text)
    if (!file.ok) return { ok: false, issues: [...file.issues] }
    return { ok: true, report: await takeInFile(file.jobs, file.kit, files) }
  }

  /** Reads a file of either kind: a zip with pictures, or plain text. */
  async function importBytes(bytes: Uint8Array): Promise<Taken> {
    const { looksZipped, readBundle } = await import('#core/job/bundle')
    if (!looksZipped(bytes)) return importText(new TextDecoder().decode(bytes))
    const bundle = readBundle(bytes)
    if (!bundle.ok) return { ok: false, issues: [...bundle.issues] }
    return { ok: true, report: await takeInFile(bundle.jobs, bundle.kit, bundle.files) }
  }

  async function startJob(title: string, customer: string): Promise<string> {
    const { newJob } = await import('#core/job/new-job')
    const id = crypto.randomUUID()
    await addJob(newJob(id, title.trim() || 'Untitled part', customer.trim(), new Date().toISOString()))
    return id
  }

  async function saveKit(next: Kit) {
    kit.value = next
    await writeKit(structuredClone(toRaw(next)))
  }

  /** Follows the shelf while it is looked at: the first screenful at once, then the rest. @returns what ends it */
  function followShelf(): () => void {
    const newest = () => db.cards.orderBy('updatedAt').reverse()
    void newest().limit(FIRST_CARDS).toArray().then((found) => { if (!cards.value.length) cards.value = found })
    const following = liveQuery(() => newest().toArray()).subscribe((found) => { cards.value = found })
    return () => following.unsubscribe()
  }

  return { cards, followShelf, kit, ready, unread, open, loadDemo, importBytes, startJob, saveKit, removeJob }
})
