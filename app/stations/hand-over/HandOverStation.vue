<script setup lang="ts">
import { computed, ref } from 'vue'
import { useFiles } from '~/composables/use-files'
import MattersPiece from '~/bench/MattersPiece.vue'
import PickField from '~/bench/PickField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import { useFigures } from '~/composables/use-figures'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import { useRecordPdf } from './use-record-pdf'
import QuotePiece from './QuotePiece.vue'
import StepsPiece from './StepsPiece.vue'

const store = useJob()
const shop = useShop()
const files = useFiles()
const { savePdf, lacking, trouble: pdfTrouble } = useRecordPdf()
const phases = computed(() => store.plan?.['hand-over'].data.phases ?? [])
const extra = ref('')
const extraRefused = ref<string | null>(null)
const { read, wrongAt, shown, left } = useFigures()
const priceValue = ref<number | null>(null)
function priced(text: string | null) {
  priceValue.value = read('price', text) ?? null
}

function addExtra() {
  if (!extra.value.trim() || priceValue.value === null) return
  extraRefused.value = store.edit(
    ['handOver', 'other'],
    [
      ...store.job!.handOver.other,
      { id: crypto.randomUUID(), name: extra.value.trim().slice(0, 80), price: priceValue.value },
    ],
  )
  if (extraRefused.value) return
  extra.value = ''
  priced('')
}
const dropExtra = (id: string) =>
  store.edit(
    ['handOver', 'other'],
    store.job!.handOver.other.filter(entry => entry.id !== id),
  )
function used(key: 'usedRods' | 'usedGasL', text: string | null) {
  const value = read(key, text, { unit: key === 'usedGasL' ? 'l' : 'number' })
  if (value !== undefined) store.edit(['handOver', key], value)
}
function alike(text: string | null) {
  const value = read('alike', text, { least: 1, most: 1000, whole: true })
  if (value != null) store.edit(['handOver', 'alike'], value)
}
function took(id: string, text: string | null) {
  const minutes = read(id, text, { unit: 'min' })
  if (minutes !== undefined) store.edit(['handOver', 'actualMin', id], minutes ?? undefined)
}
</script>

<template>
  <StationFrame id="hand-over">
    <template #readings>
      <p class="label">Minutes really taken</p>
      <v-text-field
        v-for="phase in phases"
        :key="phase.id"
        class="gap"
        :label="phase.name"
        suffix="min"
        inputmode="decimal"
        :model-value="shown(phase.id, phase.actualMin)"
        :error-messages="wrongAt(phase.id)"
        :data-actual="phase.id"
        @blur="left(phase.id)"
        @update:model-value="took(phase.id, $event)"
      />
      <div class="row used">
        <v-text-field
          label="Rods used"
          inputmode="decimal"
          :model-value="shown('usedRods', store.job!.handOver.usedRods)"
          :error-messages="wrongAt('usedRods')"
          @blur="left('usedRods')"
          @update:model-value="used('usedRods', $event)"
        /><v-text-field
          label="Gas used"
          suffix="L"
          inputmode="decimal"
          :model-value="shown('usedGasL', store.job!.handOver.usedGasL)"
          :error-messages="wrongAt('usedGasL')"
          @blur="left('usedGasL')"
          @update:model-value="used('usedGasL', $event)"
        />
      </div>
      <v-text-field
        class="gap"
        label="Parts alike, together"
        inputmode="numeric"
        :model-value="shown('alike', store.job!.handOver.alike)"
        :error-messages="wrongAt('alike')"
        @blur="left('alike')"
        @update:model-value="alike($event)"
      />
      <p class="label">Extras</p>
      <ul class="extras">
        <li v-for="entry in store.job!.handOver.other" :key="entry.id">
          {{ entry.name }}, <span class="figure">{{ shop.kit.currency }}{{ entry.price.toFixed(2) }}</span>{{ ' ' }}
          <button type="button" class="open-figure" :aria-label="`Take off ${entry.name}`" @click="dropExtra(entry.id)">
            off
          </button>
        </li>
      </ul>
      <form class="row" @submit.prevent="addExtra">
        <v-text-field v-model="extra" label="Extra" maxlength="80" /><v-text-field
          :model-value="shown('price', null)"
          label="Price"
          inputmode="decimal"
          :error-messages="extraRefused ? [extraRefused] : wrongAt('price')"
          @update:model-value="priced"
        /><button type="submit" class="plain-button" :disabled="!extra.trim() || priceValue === null">Add</button>
      </form>
      <WordsField path="handOver.limits" />
      <WordsField path="handOver.notPerfect" />
      <PickField path="handOver.recordLanguage" />
      <WordsField path="handOver.handedTo" />
      <button
        v-if="!store.job!.handOver.handedAt"
        type="button"
        class="plain-button strong"
        data-testid="hand-over"
        @click="store.edit(['handOver', 'handedAt'], new Date().toISOString())"
      >
        Handed over
      </button>
      <button v-else type="button" class="plain-button" @click="store.edit(['handOver', 'handedAt'], null)">
        Take it back
      </button>
    </template>
    <template #piece="{ working }">
      <div class="row">
        <NuxtLink class="plain-button strong" :to="`/job/${store.job!.id}/record`">Record, to print</NuxtLink>
        <button type="button" class="plain-button" data-testid="record-pdf" @click="savePdf()">as a PDF</button>
        <p v-if="pdfTrouble" role="alert">No PDF: {{ pdfTrouble }}. Print the record from its page.</p>
        <p v-if="lacking" role="alert" class="lacking" data-testid="pdf-lacks">
          The typeface that goes into the PDF has no <span translate="no">{{ lacking.letters }}</span>: print the record
          from its page, with the letters of this machine.
          <button type="button" class="plain-button slight" @click="lacking.save()">Save it with boxes there</button>
        </p>
        <button type="button" class="plain-button" data-testid="export-job" @click="files.saveJob(store.job!)">
          Take the job out as a file
        </button>
      </div>
      <QuotePiece @working="working('quote')" />
      <MattersPiece v-if="!store.job!.handOver.handedAt" brief />
      <StepsPiece />
    </template>
  </StationFrame>
</template>

<style scoped>
.gap {
  margin: 8px 0;
}
.label {
  margin-top: 12px;
}
.used {
  flex-wrap: nowrap;
  margin: 8px 0;
}
.extras {
  padding-left: 18px;
}
form > :first-child {
  flex: 2 1 90px;
}
form > :nth-child(2) {
  flex: 1 1 70px;
}
</style>
