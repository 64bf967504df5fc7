import { describe, expect, it } from 'vitest'
import { levelOut } from '../pool/level-out'
import { sagMm } from '../pool/sag'
import { standsA } from '../pool/tungsten'
import { LESSON_FOR } from './lesson-for.table'
import { advise } from './advice'
import { LESSONS, lessonById, type Lesson } from './lessons.table'
import { FRAME_S, replay, Session, type HandFrame } from './session'
import { thisJob } from './this-job'

interface Way {
  a: (s: number, widthMm: number) => number
  seconds: number
  /** Travel once the puddle is so wide, mm/s. */
  speed?: number
  wide?: number
  dipEvery?: number
  arcMm?: number
  at?: readonly [number, number]
}
/** A made hand along a lesson's line. */
function work(lesson: Lesson, { a, seconds, speed = 0, wide = 6, dipEvery = 0, arcMm = 3, at }: Way): Session {
  const session = new Session(lesson.bench)
  const [from, to] = [lesson.way[0]!, lesson.way.at(-1)!]
  const y = (at ?? from)[1]
  let x = (at ?? from)[0]
  let goes = false
  for (let n = 0; n < seconds / FRAME_S; n++) {
    const s = n * FRAME_S
    const { widthMm = 0 } = session.samples.at(-1) ?? {}
    goes ||= widthMm >= wide
    if (goes && x < to[0]) x += speed * FRAME_S
    const dip = dipEvery > 0 && goes && n % Math.round(dipEvery / FRAME_S) === 0
    session.advance({ xMm: x, yMm: y, arcMm, a: a(s, widthMm), dip })
  }
  return session
}
const met = (lesson: Lesson, session: Session) =>
  Object.fromEntries(lesson.goals.map(goal => [goal.id, goal.judge(session.outcome()).met]))
const codes = (session: Session) => new Set(session.marks.map(mark => mark.code))

describe('a run at the trainer', () => {
  it('is the same run when its hand is played again, point for point', () => {
    const lesson = lessonById('feed')
    const first = work(lesson, { a: () => 150, seconds: 3, speed: 3, dipEvery: 0.5 })
    const again = replay(lesson.bench, first.hand)
    expect(again.outcome()).toEqual(first.outcome())
    expect([...again.pool.enthalpy]).toEqual([...first.pool.enthalpy])
  })

  it('is the same run by vectors and in plain JavaScript, to the last bit: rod, a hole, what falls out', () => {
    for (const id of ['layers', 'hole', 'root']) {
      const lesson = lessonById(id)
      const way: Way = { a: () => 170, seconds: 2.5, speed: 3, dipEvery: 0.4 }
      const fast = work(lesson, way)
      const plain = work({ ...lesson, bench: { ...lesson.bench, form: { ...lesson.bench.form, isPlain: true } } }, way)
      expect(fast.outcome()).toEqual(plain.outcome())
      expect(fast.pool.enthalpy.every((value, n) => value === plain.pool.enthalpy[n])).toBe(true)
    }
  })

  it('keeps its energy to half a percent, whatever is built up, filled or falls', () => {
    for (const id of ['feed', 'layers', 'hole', 'copper', 'thick-thin']) {
      const session = work(lessonById(id), { a: () => 170, seconds: 3, speed: 3, dipEvery: 0.4 })
      expect(Math.abs(session.outcome().imbalancePct)).toBeLessThan(0.5)
    }
  })

  it('fills the low places first and stands up where the plate is level', () => {
    const groove = work(lessonById('layers'), { a: () => 180, seconds: 6, speed: 2, dipEvery: 0.3 })
    const { pool } = groove
    const bottom = 20 + pool.nx * 20
    expect(groove.outcome().wetted).toBeGreaterThan(5)
    expect(pool.heightMm(bottom)).toBeGreaterThan(1)
    const flat = work(lessonById('feed'), { a: () => 150, seconds: 5, speed: 2, dipEvery: 0.4 })
    const proud = Math.max(...[...flat.pool.firstMm.keys()].map(column => flat.pool.heightMm(column)))
    expect(proud).toBeGreaterThan(0.3)
    expect(proud).toBeLessThan(4)
  })

  it('lets what is molten through and wide fall out, and copper behind holds it up longer', () => {
    const thin = lessonById('copper')
    const bare: Lesson = { ...thin, bench: { ...thin.bench, form: { headroomMm: 3 } } }
    const way: Way = { a: () => 60, seconds: 4 }
    expect(work(bare, way).outcome().fellMm2).toBeGreaterThan(0)
    expect(work(thin, way).outcome().fellMm2).toBe(0)
  })
})

describe('metal that hangs, and a tungsten past its current', () => {
  it('hangs as a membrane under its weight and the arc does: w = p a² ÷ 4τ (Young and Laplace)', () => {
    // 2380 × 9.81 × 0.003 × 0.004² ÷ (8 × 0.87) = 0.161 mm; 4.4e-7 × 150² ÷ (8 π × 0.87) = 0.453 mm.
    expect(sagMm(4, 3, 0)).toBeCloseTo(0.161, 3)
    expect(sagMm(4, 3, 150) - sagMm(4, 3, 0)).toBeCloseTo(0.453, 3)
  })
  it('drops a little where it is through, sags when held on, and stays so when it is cold', () => {
    const root = lessonById('root')
    const quick = work(root, { a: (s, wide) => (s > 10 ? 0 : wide > 6 ? 70 : 110), seconds: 11, speed: 4.5 })
    expect(met(root, quick)).toEqual({ run: true, through: true, sags: true, fell: true })
    const held = work(root, { a: s => (s < 5 ? 150 : 0), seconds: 8 })
    expect(held.outcome().sagMm).toBeGreaterThan(quick.outcome().sagMm)
    expect([...codes(held)].some(code => code === 'sags' || code === 'fell')).toBe(true)
  })
  it('stands less with more cleaning; past that its nub grows and the arc strays, the same for the same hand', () => {
    expect(standsA(2.4, 70)).toBe(200)
    expect(standsA(2.4, 50)).toBeLessThan(160)
    expect(standsA(1.6, 70)).toBe(110)
    const lesson = lessonById('tungsten')
    const within = work(lesson, { a: s => (s > 13 ? 0 : 88), seconds: 13.5, speed: 2.6, wide: 4 })
    expect(met(lesson, within)).toEqual({ run: true, wanders: true, fell: true })
    const over = work(lesson, { a: () => 160, seconds: 3 })
    expect(codes(over)).toContain('wanders')
    expect(over.tungsten.stray()).toEqual(work(lesson, { a: () => 160, seconds: 3 }).tungsten.stray())
    expect(Math.hypot(...Object.values(over.tungsten.stray()))).toBeLessThan(2.6)
    expect(advise(over.outcome(), lesson.goals)).toMatch(/thicker tungsten|falls/)
  })
})

describe('liquid metal', () => {
  it('runs into the lowest columns first and adds up', () => {
    const standing = [3, 1, 1.5, 6].map((level, column) => ({ column, level }))
    const shared = levelOut(standing, 2)
    expect(Object.fromEntries(shared.map(({ column, more }) => [column, more]))).toEqual({
      1: expect.closeTo(1.25, 9) as number,
      2: expect.closeTo(0.75, 9) as number,
    })
    expect(levelOut(standing, 30).reduce((sum, { more }) => sum + more, 0)).toBeCloseTo(30, 9)
    expect(levelOut([], 1)).toEqual([])
  })
})

describe('what a run is told', () => {
  it('passes the puddle held by easing off, and not the one that is only heated', () => {
    const lesson = lessonById('puddle')
    const held = work(lesson, { a: (_, wide) => (wide > 8 ? 80 : 150), seconds: 9 })
    expect(met(lesson, held)).toMatchObject({ width: true, fell: true })
    expect(met(lesson, work(lesson, { a: () => 300, seconds: 6 }))).toMatchObject({ fell: false })
  })

  it('has a hand that passes lessons: feeding, stopping, a small part', () => {
    const feed = lessonById('feed')
    const fed = work(feed, { a: (_, wide) => (wide > 8 ? 110 : 150), seconds: 14, speed: 2.6, dipEvery: 0.8 })
    expect(met(feed, fed)).toEqual({ dips: true, run: true, fell: true })
    expect(advise(fed.outcome(), feed.goals)).toBeNull()
    const crater = lessonById('crater')
    const tapered = work(crater, {
      a: s => (s < 8 ? 140 : Math.max(0, 140 * (1 - (s - 8) / 2))),
      seconds: 11,
      speed: 2.5,
    })
    expect(met(crater, tapered)).toEqual({ run: true, crater: true, fell: true })
    const small = lessonById('small-part')
    const eased = work(small, { a: (s, wide) => (s > 6 ? 0 : wide > 7 ? 40 : 140), seconds: 6.5, speed: 3 })
    expect(met(small, eased)).toMatchObject({ run: true, eased: true, fell: true })
  })

  it('marks each fault by its own name and says what to do differently', () => {
    const feed = lessonById('feed')
    const cold = work(feed, { a: () => 40, seconds: 2 })
    cold.advance({ ...cold.hand.at(-1)!, dip: true })
    expect(codes(cold)).toContain('no-puddle')
    expect(advise(cold.outcome(), feed.goals)).toMatch(/no puddle/)

    const crater = lessonById('crater')
    const stopped = work(crater, { a: s => (s < 6 ? 160 : 0), seconds: 7, speed: 3 })
    expect(codes(stopped)).toContain('crater')
    expect(advise(stopped.outcome(), crater.goals)).toMatch(/pedal up/)

    const soaked = lessonById('boil-out')
    const dirty = work(soaked, { a: () => 160, seconds: 4, speed: 4, dipEvery: 0.3, wide: 2 })
    expect(codes(dirty)).toContain('dirty')
    expect(met(soaked, dirty)['dips']).toBe(false)

    const skin = work(
      { ...feed, bench: { ...feed.bench, enPct: 99 } },
      { a: () => 260, seconds: 1.2, dipEvery: 0.2, wide: 2 },
    )
    expect(codes(skin)).toContain('skin')

    const touched = work(lessonById('travel'), { a: () => 150, seconds: 3, arcMm: 0.5 })
    expect(codes(touched)).toContain('touched')
    const burnt = work(lessonById('small-part'), { a: () => 250, seconds: 6 })
    expect(codes(burnt)).toContain('fell')
    expect(advise(burnt.outcome(), lessonById('small-part').goals)).toMatch(/it falls/)
  })

  it('an oil-soaked place that is boiled first takes rod that a hasty one refuses', () => {
    const soaked = lessonById('boil-out')
    const patient = work(soaked, { a: (_, wide) => (wide > 8 ? 60 : 150), seconds: 13 })
    const frame: HandFrame = { ...patient.hand.at(-1)!, dip: true }
    patient.advance(frame)
    expect(patient.marks.at(-1)!.code).toBe('wetted')
  })
})

describe('the lessons', () => {
  it('have a line on the plate, something to look for, and goals that an idle hand does not meet', () => {
    for (const lesson of LESSONS) {
      const { xMm, yMm } = lesson.bench.plate
      for (const [x, y] of lesson.way) expect(x > 0 && y > 0 && x < xMm && y < yMm).toBe(true)
      expect(lesson.look.length).toBeGreaterThan(1)
      const idle = new Session(lesson.bench)
      idle.advance({ xMm: 1, yMm: 1, arcMm: 3, a: 0, dip: false })
      expect(lesson.goals.some(goal => !goal.judge(idle.outcome()).met)).toBe(true)
    }
  })
  it('are found for what a log saw', () => {
    for (const id of Object.values(LESSON_FOR)) expect(LESSONS.some(lesson => lesson.id === id)).toBe(true)
  })
  it('make one of a job: its wall and metal, thick ones trained on what melts, thin ones on finer cells', () => {
    const job = {
      title: 'a lug',
      alloy: 'A356',
      filler: '4043',
      wallMm: 40,
      startC: 120,
      dirt: 'oily' as const,
      rodMm: 2.4,
      enPct: 70,
      tungstenMm: 2.4,
      mostA: 140,
    }
    const lesson = thisJob(job)
    expect(lesson.bench.plate.zMm).toBe(12)
    expect(lesson.goals.map(goal => goal.id)).toContain('specks')
    expect(thisJob({ ...job, wallMm: 2 }).bench.cellMm).toBeLessThan(1)
    expect(lesson.look.join(' ')).toMatch(/140 A/)
  })
})
