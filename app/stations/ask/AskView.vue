<script setup lang="ts">
import { ref } from 'vue'
import { useClipboard } from '@vueuse/core'
import { STATION_NAMES } from '#core/job/stations.table'
import AnswerView from './AnswerView.vue'
import AskForm from './AskForm.vue'
import { useQuestion } from './use-question'

const {
  sought,
  groups,
  group,
  link,
  name,
  purpose,
  purposeOf,
  fields,
  form,
  result,
  laid,
  issues,
  useExample,
  meant,
  likeliest,
  take,
} = useQuestion()
const { copy, copied, isSupported } = useClipboard({ copiedDuring: 4000 })
/** On a phone the list gives way to the question; it comes back at a press. */
const listed = ref(name.value === null)
function choose(question: string) {
  name.value = question
  listed.value = false
}
function takeUp(found: (typeof meant.value)[number]) {
  take(found)
  listed.value = false
}
async function takeFirst() {
  const found = await likeliest()
  if (found) takeUp(found)
}
const putIn = (input: Record<string, unknown>) =>
  Object.values(input)
    .map(value => (typeof value === 'object' ? JSON.stringify(value) : String(value)))
    .join(', ')
</script>

<template>
  <div class="page wide">
    <h1>Ask</h1>
    <p class="quiet">
      Any single question, without a job: a dial to translate, a wall to weld, a part to weigh. Every field takes a
      figure in its own unit, or text with a unit: <span class="figure">3/32 in</span>,
      <span class="figure">20 thou</span>, <span class="figure">200 F</span>.
    </p>
    <div class="asking" :class="{ chosen: name && !listed }">
      <nav class="list" aria-label="Questions">
        <v-text-field
          v-model="sought"
          label="Ask in plain words"
          placeholder="what drill for an M8 tap"
          type="search"
          clearable
          data-testid="question"
          @keydown.enter="takeFirst"
        />
        <section v-if="meant.length" data-testid="meant">
          <p class="label">It may mean</p>
          <ul>
            <li v-for="each in meant" :key="each.question">
              <button type="button" @click="takeUp(each)">
                {{ purposeOf(each.question)
                }}<span v-if="Object.keys(each.input).length" class="put figure" translate="no">{{
                  putIn(each.input)
                }}</span>
              </button>
            </li>
          </ul>
        </section>
        <section v-for="each in groups" :key="each.name">
          <p class="label">{{ each.name }}</p>
          <ul>
            <li v-for="question in each.found" :key="question.name">
              <button
                type="button"
                :aria-current="question.name === name ? 'true' : undefined"
                :data-question="question.name"
                @click="choose(question.name)"
              >
                {{ question.purpose }}
              </button>
            </li>
          </ul>
        </section>
        <p v-if="!groups.length && !meant.length && sought" class="quiet">No question holds “{{ sought }}”.</p>
      </nav>
      <div v-if="name" class="asked">
        <button type="button" class="plain-button slight back" @click="listed = true">All questions</button>
        <h2>{{ purpose }}</h2>
        <p v-if="group" class="quiet small">
          {{ group.name
          }}<template v-if="group.station">; in a job this stands at {{ STATION_NAMES[group.station] }}</template>. On
          the command line: <code>npm run ask {{ name }}</code>
        </p>
        <div class="both">
          <div>
            <AskForm v-model="form" :fields="fields" :issues="issues" />
            <div class="row">
              <button
                type="button"
                class="plain-button"
                data-testid="example"
                :disabled="!fields.length"
                @click="useExample"
              >
                Put in an example
              </button>
              <button
                v-if="isSupported"
                type="button"
                class="plain-button slight"
                :disabled="!link"
                data-testid="share"
                :title="
                  link ? 'A link with all that stands in the fields; no server is sent it' : 'Too much for a link'
                "
                @click="copy(link)"
              >
                {{ copied ? 'Copied' : 'Copy as a link' }}
              </button>
            </div>
          </div>
          <AnswerView :name="name" :result="result" :laid="laid" :fields="fields" />
        </div>
      </div>
      <p v-else class="quiet pick">Pick a question, or type a word of it.</p>
    </div>
  </div>
</template>

<style scoped>
.wide {
  max-width: 1320px;
}
.asking {
  display: grid;
  grid-template-columns: 270px minmax(0, 1fr);
  gap: 32px;
  margin-top: 14px;
}
.list {
  align-self: start;
  position: sticky;
  top: 12px;
  max-height: calc(100vh - 130px);
  overflow-y: auto;
  padding: 6px 6px 0 0;
}
.label {
  margin: 14px 0 2px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li button {
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-left: 3px solid transparent;
  font: inherit;
  font-size: 0.92rem;
  line-height: 1.3;
  color: var(--soot);
  cursor: pointer;
  padding: 7px 8px;
}
li button:hover {
  background: var(--sheet);
}
li button[aria-current] {
  border-color: var(--chestnut);
  background: var(--sheet);
  font-weight: 600;
}
.put {
  display: block;
  font-size: 0.82rem;
  color: var(--slate);
}
h2 {
  font-size: 1.25rem;
}
.both {
  display: grid;
  grid-template-columns: minmax(220px, 300px) minmax(0, 1fr);
  gap: 32px;
  margin-top: 14px;
}
.back {
  display: none;
}
code {
  font-family: var(--figures);
  font-size: 0.82rem;
}
@media (max-width: 1099px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 799px) {
  .asking {
    grid-template-columns: minmax(0, 1fr);
  }
  .list {
    position: static;
    max-height: none;
  }
  li button {
    min-height: var(--touch);
  }
  .chosen .list,
  .asking:not(.chosen) .asked,
  .pick {
    display: none;
  }
  .back {
    display: inline-flex;
    margin-bottom: 10px;
  }
}
</style>
