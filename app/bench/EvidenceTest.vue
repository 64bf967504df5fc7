<script setup lang="ts">
import { computed } from 'vue'
import { BENCH_TESTS, type TestId } from '#core/metal/identify/tests.table'
import { caution } from '#core/safety/cautions.table'
import { useJob } from '~/stores/job'
import { leftOpenPct } from '#core/metal/identify/left-open'
import { useSettings } from '~/stores/settings'

/** One thing to do at the bench: what it takes, what it costs the part, how it is done; its field is the slot. */
const props = defineProps<{ test: TestId }>()
const store = useJob()
const settings = useSettings()
const row = computed(() => BENCH_TESTS.find(entry => entry.test === props.test)!)
const next = computed(() => store.plan?.know.data.identified?.recommended === props.test)
const worth = computed(() => store.plan?.know.data.identified?.next.find(entry => entry.test === props.test)?.bits)
</script>

<template>
  <section class="test" :class="{ next }" :data-test="test">
    <h3>{{ row.name }}<span v-if="next" class="tag">do this next</span></h3>
    <p class="quiet small">
      <span class="figure">{{ settings.text(row.minutes, 'min') }}</span>,
      {{ row.destructive ? 'marks the part' : 'leaves no mark'
      }}<template v-if="worth !== undefined"
        >, leaves about <span class="figure">{{ leftOpenPct(worth) }} %</span> of what is open now</template
      >
    </p>
    <slot />
    <details class="small">
      <summary>How</summary>
      <p>{{ row.how }}</p>
      <p v-if="row.caution" class="hazard">{{ caution(row.caution).text }}</p>
    </details>
  </section>
</template>

<style scoped>
.test {
  border-bottom: 1px solid var(--hairline);
  padding: 10px 0 8px;
}
.next {
  box-shadow: inset 4px 0 0 var(--chestnut);
  padding-left: 10px;
}
h3 {
  font-size: 0.97rem;
}
.tag {
  color: var(--chestnut);
  font-size: 0.82rem;
  margin-left: 8px;
}
p {
  margin: 0 0 4px;
}
summary {
  color: var(--slate);
  min-height: 28px;
}
.hazard {
  border-left: 4px solid var(--hazard);
  padding-left: 8px;
}
</style>
