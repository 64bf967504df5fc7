<script setup lang="ts">
import { computed } from 'vue'
import { HEAT_KINDS, TORCHED } from '#core/heat/bench/setup.schema'
import { FACES } from '#core/solid/stored/faces.table'
import { STANDS } from '#core/heat/bench/stands.table'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

const props = defineProps<{ index: number }>()
const store = useJob()
const shop = useShop()
const path = (key: string) => `warm.setups.${props.index}.${key}`
const setup = computed(() => store.job!.warm.setups[props.index]!)
const kind = computed(() => setup.value.heat.kind)
const torched = computed(() => TORCHED.has(kind.value))
const lined = computed(() => kind.value === 'arc' || kind.value === 'swept')
const between = computed(() => setup.value.heat.via.length)
const torches = computed(() =>
  Object.fromEntries(shop.kit.torches.map(torch => [torch.id, torch.fitted ? `${torch.name}, as learnt` : torch.name])),
)
const stands = Object.fromEntries(Object.entries(STANDS).map(([id, { name }]) => [id, name]))
</script>

<template>
  <div>
    <PickField :path="path('heat.kind')" label="Heated by" :words="HEAT_KINDS" />
    <PickField
      v-if="torched && Object.keys(torches).length"
      :path="path('heat.torch')"
      label="Torch"
      :words="torches"
    />
    <ReadingField v-if="torched" :path="path('heat.sharePct')" unit="pct" label="Turned down to" />
    <ReadingField v-if="kind === 'air'" :path="path('heat.airC')" unit="c" label="Air at the nozzle" />
    <ReadingField v-if="kind === 'oven'" :path="path('heat.ovenC')" unit="c" label="Oven at" />
    <ReadingField v-if="kind === 'arc'" :path="path('heat.arcW')" unit="w" label="Arc, amps × volts" />
    <ReadingField v-if="kind === 'arc'" :path="path('heat.speedMmS')" unit="mmS" label="Travel" />
    <ReadingField
      v-if="torched || kind === 'air'"
      :path="path('heat.radiusMm')"
      unit="mm"
      label="Spreads to"
      note="where little is left of it"
    />
    <ReadingField v-if="kind === 'walked'" :path="path('heat.ringMm')" unit="mm" label="Ring it is walked on" />
    <ReadingField v-if="kind === 'walked'" :path="path('heat.turnS')" unit="s" label="Once round takes" />
    <template v-if="kind !== 'oven'">
      <PickField :path="path('heat.face')" label="Points at it" :words="FACES" />
      <ReadingField
        v-for="axis in ['x', 'y', 'z'] as const"
        :key="axis"
        :path="path(`heat.at.${axis}`)"
        unit="mm"
        :label="{ x: 'at, from the left', y: 'from the front', z: 'up' }[axis]"
      />
      <template v-if="lined"
        ><ReadingField
          v-for="axis in ['x', 'y', 'z'] as const"
          :key="`to${axis}`"
          :path="path(`heat.to.${axis}`)"
          unit="mm"
          :label="{ x: 'to, from the left', y: 'from the front', z: 'up' }[axis]"
      /></template>
      <p v-if="kind === 'swept' && between" class="small quiet">
        Along the mark’s line, {{ between }} {{ between === 1 ? 'bend' : 'bends' }} between.
        <button
          type="button"
          class="plain-button slight"
          @click="store.edit(['warm', 'setups', index, 'heat', 'via'], [])"
        >
          Straight instead
        </button>
      </p>
    </template>
    <ReadingField :path="path('onS')" unit="s" label="Heat on for" />
    <ReadingField :path="path('afterS')" unit="s" label="Watched after" />
    <PickField :path="path('stand')" label="Stands on" :words="stands" />
    <v-checkbox
      :model-value="setup.lid"
      label="Lid or blanket over it"
      hide-details
      @update:model-value="store.edit(['warm', 'setups', index, 'lid'], $event ?? false)"
    />
    <ReadingField path="warm.targetC" />
    <ReadingField path="warm.startC" />
  </div>
</template>
