<script setup lang="ts">
import { computed, onBeforeUnmount, ref, toRef, useId } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import type { Limits } from '#core/quantity/schema'
import { withCommas } from '#core/words/numbers'
import type { UnitKey } from '#core/quantity/units.table'
import { useDraft } from '~/composables/use-draft'
import { useReading } from '~/composables/use-reading'
import { useWords } from '~/composables/use-words'
import { useInstruments } from '~/stores/instruments'
import { useSettings } from '~/stores/settings'

/** A quantity of the open job; what is declared of its field stands unless something else is said here. */
const props = defineProps<{ path: string; unit?: UnitKey; label?: string; note?: string; limits?: Limits }>()
const declared = computed(() => declaredAt(props.path))
const unit = computed(() => props.unit ?? declared.value!.unit!)
const label = computed(() => props.label ?? declared.value!.label)
const { typed, error, unstored, also, bareUnit, take, leave } = useReading(
  toRef(props, 'path'),
  unit,
  toRef(props, 'limits'),
)
const settings = useSettings()
/** What it counts as while it is empty, else what is to be known of it. */
const note = computed(() => {
  const usual = declared.value?.usual
  return usual !== undefined && typed.value.trim() === ''
    ? `empty: ${settings.text(usual, unit.value)}`
    : (props.note ?? declared.value?.help)
})
const { sayer } = useWords()
const held = ref(false)
/** What stands in the field: as it was typed while a hand is in it, else as the reader writes figures. */
const stands = computed(() => (held.value || sayer.value.language === 'en' ? typed.value : withCommas(typed.value)))
const { shown, typing, drop } = useDraft(() => stands.value)
function type(text: string) {
  typing(text)
  take(text)
}
const field = useId()
const instruments = useInstruments()
const target = { label: label.value, unit: unit.value, take }
onBeforeUnmount(() => {
  if (instruments.target === target) instruments.target = null
})
</script>

<template>
  <div class="reading">
    <label :for="field">{{ label }}</label>
    <input
      :id="field"
      class="figure"
      type="text"
      inputmode="text"
      autocomplete="off"
      spellcheck="false"
      maxlength="60"
      :data-path="path"
      :value="shown"
      :placeholder="bareUnit || '#'"
      :aria-invalid="error !== null"
      :aria-describedby="`${field}-also`"
      @focus="((held = true), (instruments.target = target))"
      @input="type(($event.target as HTMLInputElement).value)"
      @blur="((held = false), drop(), leave())"
      @keydown.ctrl.z="drop()"
      @keydown.meta.z="drop()"
    />
    <p :id="`${field}-also`" class="small" :class="error ? 'wrong' : 'quiet'">
      {{ error ?? also }}<template v-if="unstored"><b class="wrong" data-testid="unstored"> not stored yet</b></template
      ><template v-if="note && !error">{{ also ? ', ' : '' }}{{ note }}</template>
    </p>
  </div>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(0, 11fr) minmax(0, 9fr);
  align-items: center;
  border-bottom: 1px solid var(--hairline);
  padding: 2px 0 5px;
}
label {
  font-size: 0.95rem;
  line-height: 1.15;
}
input {
  font-size: 1.12rem;
  font-weight: 700;
  text-align: right;
  background: transparent;
  border: 0;
  color: var(--soot);
  min-height: var(--touch);
  width: 100%;
  padding: 0 4px;
}
input::placeholder {
  color: var(--slate);
  opacity: 1;
  font-weight: 400;
  font-size: 0.95rem;
}
input:focus {
  background: var(--sheet);
  outline: 2px solid var(--chestnut);
}
p {
  grid-column: 1 / -1;
  margin: -4px 0 0;
  min-height: 1.2em;
}
.wrong {
  color: var(--stop);
}
</style>
