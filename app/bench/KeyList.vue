<script setup lang="ts">
const open = defineModel<boolean>({ required: true })
const KEYS = [
  ['1 – 9', 'the stations of the job'],
  ['u', 'inch or metric, everywhere'],
  ['w', 'the working behind the numbers'],
  ['c', 'a new clock'],
  ['m', 'an instrument on the wire'],
  ['F2', 'its reading into the field'],
  ['l', 'at Weld: log what the puddle did'],
  ['Enter, Space, + −, s', 'at the puddle: arc, dip, current, pedal up slowly'],
  ['/', 'find a job'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['?', 'these keys'],
] as const
</script>

<template>
  <v-dialog v-model="open" aria-label="Keys">
    <v-card class="keys">
      <h2>Keys</h2>
      <table>
        <tbody>
          <tr v-for="[key, what] in KEYS" :key="key">
            <th class="figure" scope="row">{{ key }}</th>
            <td>{{ what }}</td>
          </tr>
        </tbody>
      </table>
      <p><NuxtLink to="/strip" @click="open = false">What each station is for, on one sheet</NuxtLink></p>
      <button type="button" class="plain-button" @click="open = false">Close</button>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.keys {
  padding: 18px 20px;
}
table {
  margin: 10px 0 16px;
}
</style>
