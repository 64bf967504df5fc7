<script setup lang="ts">
import { ref } from 'vue'
import { CARD_IDS, CARDS, type CardId } from '#core/photo/card/layout'
import { download } from '~/composables/use-files'
import { useWords } from '~/composables/use-words'

const SHEETS = { a4: 'A4', letter: 'Letter' } as const
const card = ref<CardId>('M')
const sheet = ref<keyof typeof SHEETS>('a4')
const open = ref(false)
const { sayer } = useWords()
const cards = CARD_IDS.map(value => ({ value, title: CARDS[value].name }))
const sheets = Object.entries(SHEETS).map(([value, title]) => ({ value, title }))
async function print() {
  const { cardSheetPdf } = await import('#core/photo/card/sheet-pdf')
  download(`scale-card-${card.value}.pdf`, await cardSheetPdf(card.value, sheet.value, sayer.value), 'application/pdf')
  open.value = false
}
</script>

<template>
  <v-dialog v-model="open" max-width="460">
    <template #activator="{ props: opens }"
      ><button type="button" class="plain-button slight" data-testid="card-print" v-bind="opens">
        Print a card
      </button></template
    >
    <v-card title="A scale card to print">
      <v-card-text>
        <p>
          Laid beside the part, in the plane of what is measured, it gives a picture its scale and squares it. Print it
          at 100 %, prove its ruled line with a rule, stick it on something stiff.
        </p>
        <v-select v-model="card" :items="cards" label="Size" />
        <v-select v-model="sheet" :items="sheets" label="Paper" />
      </v-card-text>
      <v-card-actions>
        <button type="button" class="plain-button slight" @click="open = false">Not now</button>
        <button type="button" class="plain-button strong" data-testid="card-pdf" @click="print()">
          Save the sheet
        </button>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
p {
  margin-bottom: 16px;
}
</style>
