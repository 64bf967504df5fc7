<script setup lang="ts">
import type { DrawnGroove } from '#core/groove/drawn'
import type { MendRow } from '#core/station/mends/mend-row'
import GrooveAcross from '~/drawing/GrooveAcross.vue'
import GrooveAlong from '~/drawing/GrooveAlong.vue'
import { useGrooveHands } from './use-groove-hands'

/** A mend's groove across and along; what its kind lets a hand set is dragged on the drawing. */
const props = defineProps<{ row: MendRow; groove: DrawnGroove; along: boolean }>()
const { liveDeg, lip, root, setAngle, setLand } = useGrooveHands(() => props.row.id)
</script>

<template>
  <GrooveAcross
    :groove="groove"
    :title="row.section?.title ?? 'Across it'"
    :live-deg="liveDeg"
    :lip="lip"
    :root="root"
    @angle="setAngle"
    @land="setLand"
  />
  <GrooveAlong v-if="along" :groove="groove" />
</template>
