<script setup lang="ts">
import { computed } from 'vue'
import { machineStep } from '#core/job/mend-steps'
import { wordsFor } from '#core/mend/registry'
import { wayName } from '#core/mend/way-name'
import type { MendRow } from '#core/station/mends/mend-row'
import type { BossMethod } from '#core/thread/methods.table'
import BossWays from '~/stations/rebuild/BossWays.vue'
import MachiningPiece from '~/stations/rebuild/MachiningPiece.vue'
import SlugPiece from '~/stations/rebuild/SlugPiece.vue'
import { useMendSteps } from './use-mend-steps'

/** A thread that is a mend, at the machine: its list, its slug, and the ways compared. */
const props = defineProps<{ row: MendRow }>()
const emit = defineEmits<{ working: [ref: string] }>()
const { done, tick } = useMendSteps(() => props.row.id)
const ways = computed(() =>
  (props.row.planned?.ways?.ranked ?? []).map(row => ({
    ...row,
    id: row.way,
    name: wayName(props.row.kind, row.way),
    reasons: row.why ? [wordsFor(props.row.kind, row.why).replace(/\.$/, '')] : row.reasons,
    possible: row.why === null,
    tap: props.row.back?.taps[row.way as BossMethod] ?? null,
  })),
)
const atMachine = computed(() =>
  (props.row.back?.list?.steps ?? []).map(step => step.id).filter(id => done.value.includes(machineStep(id))),
)
</script>

<template>
  <MachiningPiece
    v-if="row.back?.list"
    :list="row.back.list"
    :done="atMachine"
    @tick="(id, on) => tick(machineStep(id), on)"
  />
  <SlugPiece v-if="row.back?.way === 'pressed-slug'" :back="row.back" @working="emit('working', $event)" />
  <BossWays :ways="ways" />
</template>
