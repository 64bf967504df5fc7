import { builtScript, Lane, type Outcome } from './lane'
import type { Skin } from './skin'

const script = builtScript('solid-worker.mjs')
const lane = new Lane<string, Skin>({ mostWaiting: 8, mostSeconds: 30, memoryMb: 512, endsWhatIsLeft: true }, script)

/** The skin of a shape in triangles, given as the text of a body, put together on a thread of its own. */
export async function skinApart(text: string, left?: AbortSignal): Promise<Outcome<Skin>> {
  // Compiled away from the built server, which has a thread for it.
  if (import.meta.dev) return { kind: 'found', found: (await (await import('./skin')).skinOf(text)).found }
  return lane.ask(text, left)
}
