import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { EMPTY_KIT } from '#core/job/empty-kit'
import { changedKit } from '#core/job/merge-kit'
import { packBundle, readBundle } from '#core/job/bundle'
import { shopToText } from '#core/job/files'
import { newJob } from '#core/job/new-job'
import { pictureSchema } from '#core/job/picture.schema'
import { db } from '~/db/database'
import { replayKits } from '~/db/journal'
import { mergeInKit, timedKit } from '~/db/shelf'
import { jobOnTheBench, settled, smallStore } from '~/at-the-bench.fixture'
import { useShop } from './shop'

vi.mock('~/composables/files-worker', async () => {
  const { filesBench } = await import('~/workers/files-bench')
  const bench = filesBench(async file => (file.name === 'broken.png' ? null : { wide: 10, high: 10 }))
  return { filesWorker: () => bench }
})
vi.mock('~/composables/core-worker', () => ({ planned: () => new Promise(() => undefined) }))

const { which, goToShop } = vi.hoisted(() => ({ which: { WHICH_SHOP: 'own' }, goToShop: vi.fn() }))
vi.mock('~/db/which-shop', () => ({
  get WHICH_SHOP() {
    return which.WHICH_SHOP
  },
  ofShop: (name: string) => name,
  isJoining: () => false,
  goToShop,
}))

const TEXT = readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8')
const bytes = (text: string) => new TextEncoder().encode(text)
const demo = (autoload: boolean) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () =>
      Response.json({
        autoload,
        shop: JSON.parse(TEXT),
        files: [
          {
            id: 'demo-x',
            jobId: 'gearbox-cover',
            kind: 'picture',
            name: 'x.png',
            type: 'image/png',
            base64: btoa('abc'),
          },
        ],
      }),
    ),
  )
const everything = async () =>
  JSON.stringify([await db.jobs.toArray(), await db.kit.toArray(), await db.held.toArray()])

/** A zip of one job with one picture. */
function zipWith(name: string, { wide = 10, last = 0, jobId = 'one' } = {}) {
  const job = {
    ...newJob(jobId, 'Cover', '', '2026-11-12T09:00:00.000Z'),
    pictures: [pictureSchema.parse({ id: 'p1', widthPx: wide, heightPx: 10 })],
  }
  return packBundle(shopToText([job], EMPTY_KIT, '2026-11-12T09:00:00.000Z'), [
    {
      id: 'p1',
      jobId,
      kind: 'picture',
      name,
      type: 'image/png',
      bytes: new Uint8Array([137, 80, 78, 71, 13, 10, 26, 10, last]),
    },
  ])
}

let shop: ReturnType<typeof useShop>
beforeEach(async () => {
  const job = await jobOnTheBench()
  job.close()
  await db.jobs.clear()
  await db.cards.clear()
  which.WHICH_SHOP = 'own'
  goToShop.mockClear()
  shop = useShop()
})

describe('opening the bench', () => {
  it('started as a demo, goes to the made-up shop and leaves its own empty, and only once', async () => {
    demo(true)
    await shop.open()
    expect(await db.jobs.count()).toBe(0)
    expect(goToShop).toHaveBeenCalledExactlyOnceWith('made-up')
    shop.ready = false
    await shop.open()
    expect(goToShop).toHaveBeenCalledTimes(1)
  })
  it('in the made-up shop fills itself with its jobs and pictures, once, and leaves with them', async () => {
    which.WHICH_SHOP = 'made-up'
    await db.facts.clear()
    demo(true)
    await shop.open()
    expect(await db.jobs.count()).toBeGreaterThan(3)
    expect((await db.held.get(['gearbox-cover', 'demo-x']))!.bytes.byteLength).toBe(3)
    await db.jobs.clear()
    shop.ready = false
    await shop.open()
    expect(await db.jobs.count()).toBe(0)
    await shop.leaveMadeUp()
    expect(goToShop).toHaveBeenLastCalledWith('own')
    await db.open()
  })
  it('not started as one, is empty, with an empty kit', async () => {
    demo(false)
    await shop.open()
    expect(await db.jobs.count()).toBe(0)
    expect(shop.kit).toEqual(EMPTY_KIT)
  })
  it('with the server gone opens all the same, and says so where the demo is asked for', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => {
        throw new TypeError('no network')
      }),
    )
    await shop.open()
    expect(shop.ready).toBe(true)
    expect(shop.madeUpTrouble).toBeNull()
    which.WHICH_SHOP = 'made-up'
    await db.facts.clear()
    shop.ready = false
    await shop.open()
    expect(shop.madeUpTrouble).toContain('does not answer')
  })
  it('follows a kit that another tab has changed', async () => {
    demo(false)
    await shop.open()
    await db.kit.put({ id: 'kit', kit: { ...EMPTY_KIT, shop: 'Renamed' } })
    await settled()
    expect(shop.kit.shop).toBe('Renamed')
  })
})

describe('taking in a file', () => {
  it('adds its jobs, and the same file again changes nothing', async () => {
    const first = await shop.importBytes(bytes(TEXT))
    expect(first).toMatchObject({ ok: true, report: { replaced: 0, kit: true } })
    const after = await everything()
    expect(await shop.importBytes(bytes(TEXT))).toMatchObject({
      ok: true,
      report: { added: 0, replaced: 0, kit: false },
    })
    expect(await everything()).toBe(after)
  })
  it('leaves the kit of a bench that has one', async () => {
    await shop.saveKit({ ...EMPTY_KIT, shop: 'Mine' })
    expect(await shop.importBytes(bytes(TEXT))).toMatchObject({ ok: true, report: { kit: false } })
    expect((await db.kit.get('kit'))!.kit.shop).toBe('Mine')
  })
  it('takes a zip with pictures', async () => {
    const zip = zipWith('a.png')
    expect((await readBundle(zip)).ok).toBe(true)
    expect(await shop.importBytes(zip)).toMatchObject({ ok: true, report: { added: 1 } })
    expect(await db.held.count()).toBe(1)
  })
  it('refuses a picture that cannot be decoded or is not as large as the job says, and changes nothing', async () => {
    const before = await everything()
    expect(await shop.importBytes(zipWith('broken.png'))).toMatchObject({ ok: false, issues: [{ path: 'broken.png' }] })
    expect(await shop.importBytes(zipWith('a.png', { wide: 11 }))).toMatchObject({
      ok: false,
      issues: [{ message: expect.stringContaining('11 × 10') }],
    })
    expect(await everything()).toBe(before)
  })
  it("never writes over a picture that is here, and says which differs; another job's picture of the same name is its own", async () => {
    await shop.importBytes(zipWith('a.png'))
    const kept = (await db.held.toArray())[0]!
    expect(await shop.importBytes(zipWith('a.png', { last: 9 }))).toMatchObject({
      ok: true,
      report: { clashes: ['a.png'] },
    })
    expect((await db.held.get([kept.jobId, 'p1']))!.bytes).toEqual(kept.bytes)
    expect(await shop.importBytes(zipWith('a.png', { last: 7, jobId: 'another' }))).toMatchObject({
      ok: true,
      report: { clashes: [] },
    })
    expect((await db.held.get([kept.jobId, 'p1']))!.bytes).toEqual(kept.bytes)
    expect(await db.held.count()).toBe(2)
  })
  it('takes what was typed where a value says another thing, and tells it', async () => {
    const typed = TEXT.replace(/"typed": "2.4 mm",\s*"value": 2.4\b/, '"typed": "2.4 mm", "value": 800')
    expect(typed).not.toBe(TEXT)
    const taken = await shop.importBytes(bytes(typed))
    expect(taken).toMatchObject({
      ok: true,
      report: { corrected: [{ readings: [{ typed: '2.4 mm', was: 800, now: 2.4 }] }] },
    })
  })
  it.each([
    ['nothing at all', new Uint8Array()],
    ['no JSON', bytes('{"kind":')],
    ['another kind of file', bytes('{"kind":"something/else"}')],
    ['a zip that is cut off', new Uint8Array([80, 75, 3, 4, 20, 0])],
    ['noise', Uint8Array.from({ length: 400 }, (_, n) => (n * 73) % 256)],
    ['one bad job among good ones', bytes(TEXT.replace('"open":', '"opened":'))],
  ])('refuses %s with a reason, and changes nothing', async (_, wrong) => {
    await shop.importBytes(bytes(TEXT))
    const before = await everything()
    const taken = await shop.importBytes(wrong)
    expect(taken.ok).toBe(false)
    if (!taken.ok) expect(taken.issues[0]!.message.length).toBeGreaterThan(4)
    expect(await everything()).toBe(before)
  })
})

describe('changes to the kit', () => {
  const torch = (id: string) => ({ id, name: id, gas: 'propane', powerW: 2000, efficiencyPct: 30 })
  const withTorch = (id: string) => (kit: typeof EMPTY_KIT) => ({ ...kit, torches: [...kit.torches, torch(id)] })
  it('are all there when several are made at once', async () => {
    expect(
      await Promise.all([
        ...['a', 'b', 'c'].map(id => shop.changeKit(withTorch(id))),
        shop.changeKit(kit => ({ ...kit, shop: 'Mine' })),
      ]),
    ).toEqual([null, null, null, null])
    expect(shop.kit).toMatchObject({ shop: 'Mine', torches: [{ id: 'a' }, { id: 'b' }, { id: 'c' }] })
    expect((await db.kit.get('kit'))!.kit).toEqual(shop.kit)
  })
  it('go on from what another tab has just stored', async () => {
    await shop.changeKit(withTorch('a'))
    await db.kit.put({ id: 'kit', kit: { ...shop.kit, torches: [torch('a'), torch('other-tab')] } as never })
    await shop.changeKit(withTorch('b'))
    expect(shop.kit.torches.map(({ id }) => id)).toEqual(['a', 'other-tab', 'b'])
  })
  it('that found no room lose nothing another tab stored meanwhile, and overwrite nothing of it', async () => {
    await shop.changeKit(withTorch('a'))
    const put = vi.spyOn(db.kit, 'put').mockRejectedValue(new Error('no room'))
    await shop.changeKit(kit => ({ ...withTorch('b')(kit), shop: 'Mine' }))
    put.mockRestore()
    const there = await timedKit()
    const theirs = { ...withTorch('c')(there.kit), ratePerHour: 61 }
    await mergeInKit(changedKit(there, theirs, new Date().toISOString()))
    await shop.tryAgain()
    const { kit } = (await db.kit.get('kit'))!
    expect(kit).toMatchObject({ shop: 'Mine', ratePerHour: 61 })
    expect(kit.torches.map(({ id }) => id).toSorted()).toEqual(['a', 'b', 'c'])
  })
  it('left unstored by two tabs are both there at the next start, once; so is what an older version left', async () => {
    const left = (kit: typeof EMPTY_KIT) =>
      JSON.stringify(changedKit({ kit: EMPTY_KIT, stamps: {} }, kit, new Date().toISOString()))
    const kept = new Map([
      ['ws-journal-kit', JSON.stringify({ ...EMPTY_KIT, ratePerHour: 61 })],
      ['ws-journal-kit:one', left(withTorch('a')(EMPTY_KIT))],
      ['ws-journal-kit:two', left({ ...withTorch('b')(EMPTY_KIT), shop: 'Mine' })],
      ['ws-journal-kit:odd', '{"kit":'],
    ])
    smallStore(kept)
    await replayKits()
    const { kit } = (await db.kit.get('kit'))!
    expect(kit).toMatchObject({ shop: 'Mine', ratePerHour: 61 })
    expect(kit.torches.map(({ id }) => id).toSorted()).toEqual(['a', 'b'])
    expect([...kept.keys()]).toEqual([])
  })
  it('that are refused hold up none after them', async () => {
    const [refused, taken] = await Promise.all([
      shop.changeKit(kit => ({ ...kit, ratePerHour: -1 })),
      shop.changeKit(withTorch('a')),
    ])
    expect([refused === null, taken]).toEqual([false, null])
    expect(shop.kit).toMatchObject({ ratePerHour: EMPTY_KIT.ratePerHour, torches: [{ id: 'a' }] })
  })
})

describe('a disk that is full', () => {
  const full = () => Promise.reject(Object.assign(new Error('no room'), { name: 'QuotaExceededError' }))
  it('keeps a changed kit on screen, says that it is not stored, and stores it when there is room', async () => {
    await shop.saveKit({ ...EMPTY_KIT, ratePerHour: 42 })
    const put = vi.spyOn(db.kit, 'put').mockImplementation(full as never)
    expect(await shop.saveKit({ ...EMPTY_KIT, ratePerHour: 77 })).toBeNull()
    expect(shop).toMatchObject({ kit: { ratePerHour: 77 }, saveError: expect.stringContaining('no room left') })
    expect((await db.kit.get('kit'))!.kit.ratePerHour).toBe(42)
    put.mockRestore()
    await shop.tryAgain()
    expect(shop.saveError).toBeNull()
    expect((await db.kit.get('kit'))!.kit.ratePerHour).toBe(77)
  })
  it('refuses a kit that no file could hold, with the reason, and leaves the one there was', async () => {
    await shop.saveKit({ ...EMPTY_KIT, ratePerHour: 42 })
    expect(await shop.saveKit({ ...EMPTY_KIT, ratePerHour: 1e9 })).toMatch(/ratePerHour/)
    expect(
      await shop.saveKit({
        ...EMPTY_KIT,
        learnt: {
          at: '2026-11-12T09:00:00.000Z',
          ratios: { weld: { ratio: 21, jobs: 3, low: null, high: null } },
          odds: null,
        },
      }),
    ).toMatch(/at most 20/)
    expect(shop.kit.ratePerHour).toBe(42)
  })
  it('says so when a new job finds no room', async () => {
    const put = vi.spyOn(db.jobs, 'bulkPut').mockImplementation(full as never)
    await expect(shop.startJob('A part', '')).rejects.toThrow('no room')
    put.mockRestore()
    expect(await db.jobs.count()).toBe(0)
  })
})

describe('the shelf', () => {
  it('puts back what was taken off, with its pictures, pressed twice or not', async () => {
    await shop.importBytes(zipWith('a.png'))
    const before = await everything()
    await Promise.all([shop.takeOff('one'), shop.takeOff('one')])
    expect([await db.jobs.count(), await db.held.count(), await db.cards.count()]).toEqual([0, 0, 0])
    await shop.putItBack()
    // It counts as touched since, so that no other screen of the shop takes it off again.
    const { stamps } = (await db.jobs.get('one'))!
    expect(Object.keys(stamps)).toEqual(['title'])
    await db.jobs.update('one', { stamps: {} })
    expect(await everything()).toBe(before)
  })
  it('has a card for every job, newest first, as long as it is looked at', async () => {
    const leave = shop.followShelf()
    const one = await shop.startJob('  First part ', 'someone')
    await shop.startJob('', '')
    await settled()
    expect(shop.cards.map(card => card.title).toSorted()).toEqual(['First part', 'Untitled part'])
    leave()
    await shop.takeOff(one)
    expect(await db.cards.get(one)).toBeUndefined()
    expect(await db.jobs.count()).toBe(1)
  })
})
