import { computed, onBeforeUnmount, watch } from 'vue'
import { rings } from '#core/day/slept'
import { useClocks } from '~/stores/clocks'
import { useSettings } from '~/stores/settings'

/** Three short notes, then a pause; for a minute at most. */
const NOTES = [0, 0.22, 0.44]
const NOTE_S = 0.14
const EVERY_MS = 2000
const LONGEST_MS = 60_000
const PITCH_HZ = 880

function ring(audio: AudioContext) {
  for (const after of NOTES) {
    const [tone, level] = [audio.createOscillator(), audio.createGain()]
    const from = audio.currentTime + after
    tone.frequency.value = PITCH_HZ
    // A note that starts and ends at nothing does not click.
    level.gain.setValueAtTime(0, from)
    level.gain.linearRampToValueAtTime(0.5, from + 0.01)
    level.gain.linearRampToValueAtTime(0, from + NOTE_S)
    tone.connect(level).connect(audio.destination)
    tone.start(from)
    tone.stop(from + NOTE_S)
  }
}

/** Clocks that have run out and are not hushed yet: heard where sound is on, seen where the flash is. */
export function useAlarm() {
  const clocks = useClocks()
  const settings = useSettings()
  const ringing = computed(() =>
    clocks.running.filter(clock => !clock.hushed && rings(clock.endsAt, clocks.now, clocks.slept)),
  )
  let audio: AudioContext | null = null
  let timer: ReturnType<typeof setInterval> | undefined
  const quiet = () => clearInterval(timer)

  watch(
    () => ringing.value.map(clock => clock.id).join(),
    now => {
      quiet()
      if (!now || !settings.sound) return
      audio ??= new AudioContext()
      const until = Date.now() + LONGEST_MS
      const sound = () => {
        if (Date.now() > until || !settings.sound) return quiet()
        void audio!
          .resume()
          .then(() => ring(audio!))
          .catch(() => undefined)
      }
      sound()
      timer = setInterval(sound, EVERY_MS)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    quiet()
    void audio?.close()
  })

  return {
    ringing,
    flashing: computed(() => settings.flash && ringing.value.length > 0),
    hush: () => {
      for (const clock of ringing.value) void clocks.hush(clock.id)
    },
  }
}
