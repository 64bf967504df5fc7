import { computed, ref, toRaw } from 'vue'
import type { Device } from '#core/instrument/device/device.schema'
import { EXAMPLE_DEVICES } from '#core/instrument/device/examples.table'
import { useInstruments } from '~/stores/instruments'
import { useShop } from '~/stores/shop'
import { download, fileName } from './use-files'
import { waysOf, type Way } from './wires'

const LARGEST_BYTES = 20_000

/** Devices with a wire of their own: the kit's, and examples to begin from; out and in as small files. */
export function useDevices() {
  const shop = useShop()
  const instruments = useInstruments()
  const chosen = ref<string>(shop.kit.devices[0]?.id ?? EXAMPLE_DEVICES[0]!.id)
  const trouble = ref<string | null>(null)
  const all = computed(() => [
    ...shop.kit.devices,
    ...EXAMPLE_DEVICES.filter(example => !shop.kit.devices.some(({ id }) => id === example.id)),
  ])
  const device = computed(() => all.value.find(({ id }) => id === chosen.value) ?? all.value[0]!)
  const own = computed(() => shop.kit.devices.some(({ id }) => id === device.value.id))

  async function connect(way: Way): Promise<boolean> {
    trouble.value = await instruments.startDevice(structuredClone(toRaw(device.value)), way)
    return trouble.value === null
  }
  const take = (added: Device) =>
    shop.changeKit(kit => ({ ...kit, devices: [...kit.devices.filter(({ id }) => id !== added.id), added] }))
  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    const refuse = (why: string) => {
      trouble.value = `${file.name} was not taken in: ${why}.`
    }
    if (file.size > LARGEST_BYTES) return refuse('a device is described in a few lines')
    const { deviceSchema } = await import('#core/instrument/device/device.schema')
    let given: unknown
    try {
      given = JSON.parse(await file.text())
    } catch {
      return refuse('it is not JSON')
    }
    const parsed = deviceSchema.safeParse(given)
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!
      return refuse(`${issue.path.join('.')} ${issue.message}`)
    }
    trouble.value = await take(parsed.data)
    chosen.value = parsed.data.id
  }
  const saveOut = () => download(`${fileName(device.value.name)}.device.json`, JSON.stringify(device.value, null, 2))
  function forget() {
    const gone = device.value.id
    return shop.changeKit(kit => ({ ...kit, devices: kit.devices.filter(({ id }) => id !== gone) }))
  }
  return {
    all,
    chosen,
    device,
    own,
    trouble,
    ways: computed(() => waysOf(device.value)),
    connect,
    bringIn,
    saveOut,
    forget,
  }
}
