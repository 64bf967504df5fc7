import { transfer } from 'comlink'
import { onBeforeUnmount, ref, shallowRef, type Ref } from 'vue'
import type { Aim } from '#core/photo/aim'
import { photoWorker } from '~/composables/photo-worker'
import { brokeOff } from '~/workers/worker-gone'

/** Frames are looked at no larger than this along a side: the card's outline wants no more. */
const LOOKED_PX = 960
/** Ready so many times in turn, and it is taken. */
const IN_TURN = 2
const WANTED = { facingMode: 'environment', width: { ideal: 4096 }, height: { ideal: 3072 } } as const

interface TorchTrack extends MediaStreamTrack {
  getCapabilities(): MediaTrackCapabilities & { torch?: boolean }
}

/** The camera live: each frame looked over for the card, taken once it is sharp and square, or by hand. */
export function useLiveCamera(video: Ref<HTMLVideoElement | null>, taken: (file: File) => unknown) {
  const aim = shallowRef<Aim | null>(null)
  const trouble = ref<string | null>(null)
  const torch = ref<boolean | null>(null)
  const byItself = ref(true)
  /** What the outline is drawn in: the frame as it was looked at. */
  const frame = ref({ wide: 1, high: 1 })
  let stream: MediaStream | null = null
  let [open, ready] = [false, 0]

  const still = async (longest: number): Promise<ImageBitmap> => {
    const { videoWidth, videoHeight } = video.value!
    const share = Math.min(1, longest / Math.max(videoWidth, videoHeight))
    return createImageBitmap(video.value!, {
      resizeWidth: Math.max(1, Math.round(videoWidth * share)),
      resizeHeight: Math.max(1, Math.round(videoHeight * share)),
    })
  }

  async function start() {
    open = true
    trouble.value = null
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: WANTED })
    } catch (error) {
      trouble.value =
        error instanceof DOMException && error.name === 'NotAllowedError'
          ? 'the camera was not allowed: allow it in the browser, or take a picture by the button beside'
          : 'no camera is found here'
      return
    }
    if (!open || !video.value) return stop()
    video.value.srcObject = stream
    await video.value.play().catch(() => undefined)
    const track = stream.getVideoTracks()[0] as TorchTrack | undefined
    torch.value = track?.getCapabilities?.().torch ? false : null
    void look()
  }
  async function look() {
    while (open) {
      if (video.value && video.value.videoWidth > 0) {
        const bitmap = await still(LOOKED_PX)
        frame.value = { wide: bitmap.width, high: bitmap.height }
        const found = await photoWorker()
          .aim(transfer(bitmap, [bitmap]))
          .catch(brokeOff)
        if (!open) return
        if ('reason' in found) {
          trouble.value = found.reason
          return stop()
        }
        aim.value = found
        ready = found.ready ? ready + 1 : 0
        if (byItself.value && ready >= IN_TURN) return shoot()
      }
      await new Promise(resolve => setTimeout(resolve, 120))
    }
  }
  /** Takes the picture as large as the camera gives it. */
  async function shoot() {
    if (!open) return
    // One press, or one and the card's own at once, is one picture.
    open = false
    const bitmap = await still(Infinity)
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0)
    bitmap.close()
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 })
    stop()
    taken(
      new File([blob], `picture ${new Date().toISOString().slice(0, 16).replace('T', ' ')}.jpg`, {
        type: 'image/jpeg',
      }),
    )
  }
  async function light() {
    const track = stream?.getVideoTracks()[0]
    const next = !torch.value
    await track?.applyConstraints({ advanced: [{ torch: next } as MediaTrackConstraintSet] }).catch(() => undefined)
    torch.value = next
  }
  function stop() {
    open = false
    ready = 0
    aim.value = null
    for (const track of stream?.getTracks() ?? []) track.stop()
    stream = null
  }
  onBeforeUnmount(stop)
  return { aim, trouble, torch, byItself, frame, start, stop, shoot, light }
}
