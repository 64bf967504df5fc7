<script setup lang="ts">
import { computed } from 'vue'
import { GOOD_FACTOR } from '#core/thread/boss'
import { useSettings } from '~/stores/settings'

/** Ways of giving a thread back, side by side: what each holds of what it must. */
const props = defineProps<{
  ways: readonly {
    id: string
    name: string
    factor: number
    minutes: number
    heat: 'none' | 'little' | 'much'
    reasons: readonly string[]
    possible: boolean
    tap: { name: string; inKit: boolean } | null
  }[]
}>()
const settings = useSettings()
const most = computed(() => Math.max(1, ...props.ways.map(way => way.factor)))
const HEAT = { none: 'no heat', little: 'a little heat', much: 'much heat' }
</script>

<template>
  <section v-if="ways.length" class="ways" aria-label="Ways of giving the thread back">
    <p class="label">What each way holds, against the load on the bolt</p>
    <ol>
      <li v-for="way in ways" :key="way.id" :class="{ out: !way.possible }">
        <p>
          <b>{{ way.name }}</b>{{ ' ' }}
          <span class="quiet small">about {{ settings.text(way.minutes, 'min') }}, {{ HEAT[way.heat] }}</span>
        </p>
        <div class="bar" role="img" :aria-label="`holds ${way.factor.toFixed(1)} times the load`">
          <span :style="{ width: `${(100 * way.factor) / most}%` }" /><i
            :style="{ left: `${(100 * GOOD_FACTOR) / most}%` }"
          />
        </div>
        <p class="small">
          <span class="figure">{{ way.factor.toFixed(1) }}×</span>: {{ way.reasons.join('; ')
          }}<template v-if="way.tap"
            >; {{ way.tap.name }}: {{ way.tap.inKit ? 'in the kit' : 'not in the kit' }}</template
          >.
        </p>
      </li>
    </ol>
    <p class="quiet small">
      The mark is {{ GOOD_FACTOR }} times the load, from which a rebuild is good. What thread it is:
      <NuxtLink to="/threads">Threads</NuxtLink>.
    </p>
  </section>
</template>

<style scoped>
.ways {
  margin-bottom: 18px;
}
ol {
  padding-left: 20px;
}
li {
  margin-bottom: 10px;
}
li p {
  margin: 0;
}
.out {
  color: var(--slate);
}
.bar {
  position: relative;
  height: 14px;
  border: 1px solid var(--soot);
  background: var(--paper);
  margin: 3px 0;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--new-metal-wash);
  border-right: 2px solid var(--new-metal);
}
.bar i {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 2px;
  background: var(--chestnut);
}
</style>
