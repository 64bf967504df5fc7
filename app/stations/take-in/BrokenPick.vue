<script setup lang="ts">
import { kindOf, type KindId } from '#core/mend/registry'
import { FIRST_READING, focusWhenThere } from '~/composables/kept-focus'
import { useMends } from '~/stations/mend/use-mend'
import { useJob } from '~/stores/job'

/** Take in begins with what is broken: each pick is a mend of its kind, placed and measured at its station. */
const store = useJob()
const router = useRouter()
const { all, kinds, add } = useMends()
const items = kinds.map(({ id, name }) => ({ value: id, title: name[0]!.toUpperCase() + name.slice(1) }))
async function pick(kind: KindId | null) {
  if (!kind || add(kind) !== null) return
  const id = store.job!.mends.at(-1)!.id
  await router.push(`/job/${store.job!.id}/open?mend=${id}`)
  focusWhenThere(FIRST_READING)
}
</script>

<template>
  <div class="broken">
    <v-select
      :model-value="null"
      :items="items"
      label="What is broken?"
      data-testid="broken"
      @update:model-value="pick($event)"
    />
    <ul v-if="all.length">
      <li v-for="mend in all" :key="mend.id">
        <NuxtLink :to="`/job/${store.job!.id}/open?mend=${mend.id}`">{{
          mend.name || kindOf(mend.kind).name
        }}</NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.broken {
  margin: 4px 0 14px;
}
ul {
  margin: 8px 0 0;
  padding-left: 18px;
}
</style>
