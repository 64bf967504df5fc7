import { describe, expect, it } from 'vitest'
import { newJob } from '../job/new-job'
import { newMend } from '../job/new-mend'
import { mendMade } from './mend-made.fixture'
import { HANDS, handsAt } from './hands.table'

const empty = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
const blank = { ...empty, mends: [newMend('m', 'crack')] }
const ids = (at: (typeof HANDS)[number]['at'], job: typeof blank, process: 'ac-tig' | 'mig-pulse' | 'zinc-rod-braze') =>
  HANDS.filter(hand => hand.at === at && hand.when(job, process)).map(hand => hand.id)

/** Common practice, no source. */
describe('what hands do', () => {
  it('stands where it belongs: no keyhole at a gun, no wicking under an arc, no burr where nothing is cut', () => {
    expect(ids('weld', blank, 'ac-tig')).toContain('foot-pulse')
    expect(ids('weld', blank, 'mig-pulse')).not.toContain('keyhole')
    expect(ids('weld', blank, 'zinc-rod-braze')).toContain('wick')
    expect(ids('weld', blank, 'ac-tig')).not.toContain('wick')
    expect(ids('open', empty, 'ac-tig')).toEqual([])
    expect(ids('weld', { ...blank, mends: [mendMade('crack', { sides: '2' })] }, 'ac-tig')).not.toContain('keyhole')
    expect(ids('prove', blank, 'zinc-rod-braze')).toEqual(['ring-test'])
  })
  it('a gun on an oily part is told to run, grind nearly all out and run again', () => {
    const oily = { ...blank, takeIn: { ...blank.takeIn, soak: 'oil-soaked' as const } }
    expect(handsAt('weld', oily, 'mig-pulse').join(' ')).toMatch(/grind nearly all of it away/)
    expect(ids('weld', oily, 'ac-tig')).not.toContain('no-dry-arc')
  })
  it('a face that may not move is lapped where it comes back bowed', () => {
    const cover = { ...blank, takeIn: { ...blank.takeIn, mustNotMove: ['gasket-face' as const] } }
    expect(ids('rebuild', cover, 'ac-tig')).toContain('bowed-face')
  })
})
