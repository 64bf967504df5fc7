<script setup lang="ts">
import { computed } from 'vue'
import { format } from 'date-fns'
import { recordOf } from '#core/station/hand-over/record'
import { sayWithin } from '~/composables/use-words'
import PartFigure from '~/drawing/PartFigure.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

const store = useJob()
const shop = useShop()
const settings = useSettings()
const record = computed(() =>
  store.job && store.plan ? recordOf(store.job, store.plan, shop.kit, settings.system) : null,
)
/** It goes to the customer in their own language. */
const words = sayWithin(() => store.job?.handOver.recordLanguage ?? null)
const print = () => window.print()
</script>

<template>
  <article v-if="record && store.job" class="page record" :lang="words.language">
    <div class="row no-print">
      <NuxtLink class="plain-button" :to="`/job/${store.job.id}/hand-over`">Back</NuxtLink
      ><button type="button" class="plain-button strong" @click="print()">Print</button>
    </div>
    <header>
      <p class="quiet">{{ shop.kit.shop || 'Repair record' }}</p>
      <h1 translate="no">{{ store.job.title }}</h1>
      <p>
        <template v-if="store.job.customer">For <span translate="no">{{ store.job.customer }}</span>. </template>Taken
        in {{ format(new Date(store.job.takenInAt), 'd MMMM yyyy')
        }}<template v-if="store.job.handOver.handedAt && store.job.handOver.handedTo"
          >, handed over {{ format(new Date(store.job.handOver.handedAt), 'd MMMM yyyy') }} to
          {{ store.job.handOver.handedTo }}</template
        ><template v-else-if="store.job.handOver.handedAt"
          >, handed over {{ format(new Date(store.job.handOver.handedAt), 'd MMMM yyyy') }}</template
        ><template v-else>, not handed over yet</template>.
      </p>
    </header>
    <PartFigure v-if="store.job.shape.pieces.length || store.job.shape.mesh" station="take-in" />
    <section v-for="section in record.sections" :key="section.title">
      <h2>{{ section.title }}</h2>
      <dl>
        <template v-for="line in section.lines" :key="line.label"
          ><dt>{{ line.label }}</dt>
          <dd v-if="line.own" translate="no">{{ line.text }}</dd>
          <dd v-else>{{ line.text }}</dd></template
        >
      </dl>
    </section>
    <section v-if="record.log.length">
      <h2>What the puddle did</h2>
      <table>
        <thead>
          <tr>
            <th>At</th>
            <th>Pass</th>
            <th>Saw</th>
            <th>Settings</th>
            <th>Note</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="entry in record.log" :key="entry.id">
            <td class="figure small">{{ format(new Date(entry.at), 'd MMM HH:mm') }}</td>
            <td>{{ entry.pass }}<span v-if="entry.mend" translate="no">, {{ entry.mend }}</span></td>
            <td>{{ entry.saw }}</td>
            <td class="figure small wraps">{{ entry.settings }}</td>
            <td class="wraps" translate="no">{{ entry.note }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.acknowledged.length">
      <h2>Stop cautions, read and heeded</h2>
      <ul>
        <li v-for="entry in record.acknowledged" :key="entry.code">
          <b>{{ entry.name }}</b>, {{ format(new Date(entry.at), 'd MMM yyyy HH:mm') }}: {{ entry.text }}
        </li>
      </ul>
    </section>
    <p class="quiet small">
      Worked out and recorded at the bench; where life depends on the part, local codes, its maker and licensed practice
      come first.
    </p>
  </article>
  <p v-else class="page quiet">Working it out…</p>
</template>

<style scoped>
.record {
  max-width: 820px;
}
header {
  border-bottom: 2px solid var(--soot);
  margin: 18px 0;
}
h2 {
  font-size: 1.05rem;
  margin: 18px 0 4px;
}
dl {
  display: grid;
  grid-template-columns: 190px 1fr;
  margin: 0;
}
dt {
  color: var(--slate);
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--hairline);
}
dd {
  margin: 0;
  padding: 4px 0;
  border-bottom: 1px solid var(--hairline);
  overflow-wrap: anywhere;
}
@media (max-width: 599px) {
  dl {
    grid-template-columns: 1fr;
  }
  dt {
    border: 0;
    padding-bottom: 0;
  }
  td.figure {
    white-space: normal;
  }
}
</style>
