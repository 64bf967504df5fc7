<script setup lang="ts">
import { computed } from 'vue'
import { wayName } from '#core/mend/way-name'
import { isArc } from '#core/process/registry'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import ArcReadings from '~/stations/weld/ArcReadings.vue'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import LaysField from './LaysField.vue'
import MendField from './MendField.vue'
import { useMends } from './use-mend'

/** What is seen and measured of one mend, as far as a station asks it. */
const props = defineProps<{ station: 'open' | 'weld' | 'rebuild' }>()
const store = useJob()
const shop = useShop()
const { current, row, fields, atRebuild, more, isMoreSaid, named, ofWay } = useMends()
/** Whether it is opened at all: what is only pressed back is not. */
const isOpened = computed(() => {
  const planned = row.value?.planned
  return !planned || current.value!.opened || planned.opening.length > 0 || planned.volumeMm3 > 0
})
/** Where a station has readings of its own, those of opening are folded away. */
const folded = computed(() => props.station === 'weld' || (props.station === 'rebuild' && atRebuild.value.length > 0))
/** A flame that falls short is picked anew here, though nothing is laid with it. */
const flames = computed(
  () => Boolean(row.value?.flame) || row.value?.planned?.lays.some(({ process }) => !isArc(process)),
)
const torches = computed(() => Object.fromEntries(shop.kit.torches.map(torch => [torch.id, torch.name])))
</script>

<template>
  <template v-if="current && row">
    <MendField
      v-for="{ key, field, path } in props.station === 'rebuild' ? atRebuild : []"
      :key="key"
      :field="field"
      :path="path"
    />
    <details v-if="props.station === 'rebuild' && ofWay.length" open>
      <summary>{{ wayName(current.kind, row.planned!.way!) }}</summary>
      <MendField v-for="{ key, field, path } in ofWay" :key="key" :field="field" :path="path" />
    </details>
    <template v-if="props.station === 'weld'">
      <LaysField :mend="current" />
      <template v-if="flames">
        <PickField v-if="shop.kit.torches.length" path="warm.torch" :words="torches" />
        <p v-else>No torch in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
        <ReadingField path="takeIn.hotC" />
        <ReadingField path="warm.massG" />
      </template>
      <template v-if="row.setUps.length">
        <p class="label">On the machine, for the whole part</p>
        <ArcReadings
          :processes="row.setUps.map(setUp => setUp.process)"
          :apart="row.setUps.some(setUp => setUp.set.machine?.halves === 'apart')"
        />
      </template>
    </template>
    <component :is="folded ? 'details' : 'div'">
      <summary v-if="folded">What was seen and measured of it</summary>
      <MendField v-for="{ key, field, path } in fields" :key="key" :field="field" :path="path" />
      <ReadingField path="takeIn.wallMm" />
      <template v-if="current.kind === 'joint'">
        <WordsField :path="`mends.#${current.id}.other.alloy`" label="The other piece is of" :max="40" />
        <ReadingField :path="`mends.#${current.id}.other.wallMm`" unit="mm" label="Its wall" note="empty: the same" />
      </template>
      <v-checkbox
        v-if="isOpened"
        label="Open already, or laid over as it is"
        :model-value="current.opened"
        @update:model-value="store.edit(['mends', `#${current!.id}`, 'opened'], $event === true)"
      />
      <WordsField :path="`mends.#${current.id}.name`" label="Its name, such as drain boss" :max="80" />
    </component>
    <details v-if="props.station === 'open'" :open="isMoreSaid" data-testid="mend-more">
      <summary>More of it: what it lies on, how it is left, who makes what</summary>
      <template v-for="{ key, field, path } in more" :key="key">
        <MendField
          v-if="field.kind !== 'names' || Object.keys(named[key] ?? {}).length"
          :field="field"
          :path="path"
          :words="named[key]"
        />
      </template>
    </details>
  </template>
</template>
