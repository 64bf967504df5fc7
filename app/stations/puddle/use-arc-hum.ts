import { onBeforeUnmount, ref, watch, type Ref } from 'vue'

/** The arc lights anew twice in every wave of the usual AC frequency, Hz. */
const BUZZ_HZ = 2 * 100
/** Loudest, at this current; a close arc is dull, each millimetre more lets so much higher a tone through. */
const LOUDEST = 0.08
const LOUDEST_A = 300
const DULL_HZ = 300
const BRIGHTER_HZ_MM = 220
/** It follows the hand within this, s, so that nothing clicks. */
const FOLLOWS_S = 0.03

/** What an arc sounds like by its current and length, where somebody asks for it; silent otherwise. */
export function useArcHum(torch: Ref<{ a: number; arcMm: number }>) {
  const on = ref(false)
  let audio: AudioContext | null = null
  let tone: { filter: BiquadFilterNode; gain: GainNode } | null = null

  function begin() {
    audio = new AudioContext()
    const buzz = audio.createOscillator()
    const filter = audio.createBiquadFilter()
    const gain = audio.createGain()
    buzz.type = 'sawtooth'
    buzz.frequency.value = BUZZ_HZ
    filter.type = 'lowpass'
    gain.gain.value = 0
    buzz.connect(filter).connect(gain).connect(audio.destination)
    buzz.start()
    tone = { filter, gain }
  }
  function follow() {
    if (!audio || !tone) return
    const { a, arcMm } = torch.value
    const loud = on.value ? LOUDEST * Math.min(1, a / LOUDEST_A) ** 0.5 : 0
    tone.gain.gain.setTargetAtTime(loud, audio.currentTime, FOLLOWS_S)
    tone.filter.frequency.setTargetAtTime(DULL_HZ + BRIGHTER_HZ_MM * arcMm, audio.currentTime, FOLLOWS_S)
  }
  watch(on, wanted => {
    if (wanted && !audio) begin()
    follow()
  })
  watch(torch, follow)
  onBeforeUnmount(() => void audio?.close())
  return { humOn: on }
}
