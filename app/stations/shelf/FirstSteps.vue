<script setup lang="ts">
import { STARTER_KITS } from '#core/job/starter-kits.table'
import { goToShop } from '~/db/which-shop'
import { useSettings } from '~/stores/settings'
import { useFirstSteps } from './use-first-steps'

const settings = useSettings()
const { wanted, kitted, torch, rated, job, kit, begin, rate, wrongRate, skip } = useFirstSteps()
const amps = (a: number) => settings.text(a, 'a')
</script>

<template>
  <section v-if="wanted" class="steps" aria-labelledby="first-steps" data-testid="first-steps">
    <h2 id="first-steps">A new bench, in four steps</h2>
    <ol>
      <li :class="{ done: kitted }">
        <b>Your machine.</b>
        <template v-if="kitted">
          <template v-for="machine in kit.machines" :key="machine.id"
            >{{ ' ' }}{{ machine.name }}, {{ amps(machine.lowA) }} to {{ amps(machine.highA) }}.</template
          ><template v-if="!kit.machines.length"> No arc; rods to braze with.</template>{{ ' ' }}
          <NuxtLink to="/kit">Change it</NuxtLink>
        </template>
        <template v-else>
          <p class="quiet small">The nearest of these; every figure can be changed afterwards.</p>
          <div class="row choices">
            <button
              v-for="(starter, id) in STARTER_KITS"
              :key="id"
              type="button"
              class="plain-button"
              :data-starter="id"
              @click="begin(id)"
            >
              {{ starter.name }}
            </button>
          </div>
        </template>
      </li>
      <li :class="{ done: torch }">
        <b>Your torch.</b>
        <template v-if="torch">
          {{ ' ' }}{{ kit.torches.map(each => each.name).join(', ') }}. What it puts in is learnt from your thermometer.
        </template>
        <template v-else>
          {{ ' ' }}It comes with the machine above, or <NuxtLink to="/kit">put yours in</NuxtLink>.
        </template>
      </li>
      <li :class="{ done: rated }">
        <b>Your hour.</b>{{ ' ' }}What an hour of work costs here; until you say, {{ kit.currency
        }}{{ kit.ratePerHour.toFixed(2) }} is assumed and every price says so. Rods, wire and gas stand at usual prices
        until you put yours in at the kit.
        <div class="row rate">
          <v-text-field
            label="An hour of work"
            inputmode="decimal"
            :prefix="kit.currency"
            :model-value="rated ? kit.ratePerHour : ''"
            :error-messages="wrongRate ? [wrongRate] : []"
            data-testid="first-rate"
            @change="rate(($event.target as HTMLInputElement).value)"
          />
        </div>
      </li>
      <li :class="{ done: job }">
        <b>Your first job.</b>{{ ' ' }}Name the part below and take it in; or look round first, in
        <button type="button" class="open-figure" @click="goToShop('made-up')">a made-up shop</button>, kept apart from
        yours.
      </li>
    </ol>
    <button type="button" class="plain-button slight" data-testid="skip-steps" @click="skip()">
      Skip these for good
    </button>
  </section>
</template>

<style scoped>
.steps {
  border: 1px solid var(--soot);
  background: var(--sheet);
  padding: 14px 20px 16px;
  margin: 14px 0;
}
h2 {
  font-size: 1.1rem;
}
ol {
  margin: 8px 0 12px;
  padding-left: 22px;
}
li {
  margin: 8px 0;
}
.done {
  color: var(--slate);
}
.rate {
  max-width: 260px;
  margin-top: 8px;
}
.choices {
  flex-wrap: wrap;
  margin-top: 4px;
}
p {
  margin: 2px 0;
}
</style>
