<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { format } from 'date-fns'
import { codePath } from '#core/screens/code'
import { placeWords } from '#core/screens/place'
import { useScreens } from '~/stores/screens'
import { useShop } from '~/stores/shop'

/** The screens that this shop is on: one more joins by a link, each can leave, and where they are. */
const screens = useScreens()
const shop = useShop()
const code = computed(() => (screens.invited ? codePath(screens.invited.link) : null))
const name = ref('')
watch(
  () => screens.membership?.name,
  now => {
    name.value = now ?? ''
  },
  { immediate: true },
)
const STATES = { alone: 'on its own', waiting: 'waiting for the other screen', joined: 'joined' } as const
const titleOf = (id: string) => shop.cards.find(card => card.id === id)?.title ?? null
const where = (at: string | null) => placeWords(at, titleOf)
const clock = (at: number) => format(new Date(at), 'd MMM HH:mm')
</script>

<template>
  <section aria-labelledby="screens-head">
    <h2 id="screens-head">Screens</h2>
    <p class="quiet small">
      The same shop on a phone, at the booth and on the desk: what is typed, ticked or pictured on one is on the others
      at once, and one that was away catches up. What goes between them is sealed; the server cannot read it and keeps
      none of it.
    </p>
    <p>
      This screen is
      <b data-testid="pair-state" :data-state="screens.state">{{ STATES[screens.state] }}</b
      ><template v-if="screens.state === 'joined' && !screens.reach"
        >; the server is out of reach, it catches up</template
      >.
    </p>
    <p v-if="screens.trouble" role="alert" class="trouble">Not joined: {{ screens.trouble }}.</p>
    <p v-if="screens.putOutBy !== null" role="status">
      This screen was put out of the shop by <span translate="no">{{ screens.putOutBy || '?' }}</span>; what stands on
      it stays.
    </p>
    <ul v-if="screens.others.length" class="others" aria-label="Screens of this shop">
      <li v-for="other in screens.others" :key="other.screen" :class="{ away: !other.there }">
        <b translate="no">{{ other.name }}</b>
        <span v-if="other.there?.differs" role="alert">
          has {{ other.there.differs === 'newer' ? 'a newer' : 'an older' }} version: load the older one anew
        </span>
        <span v-else-if="other.there" class="quiet">
          <template v-if="where(other.there.at)"
            >at {{ where(other.there.at)!.place
            }}<template v-if="where(other.there.at)!.title"
              >, <span translate="no">{{ where(other.there.at)!.title }}</span></template
            ></template
          ><template v-else>here</template>
        </span>
        <span v-else class="quiet">away since {{ clock(other.at) }}</span>
        <button
          type="button"
          class="plain-button slight"
          :disabled="!other.there"
          :title="other.there ? undefined : 'It can be put out while it is here'"
          @click="screens.putOut(other.screen)"
        >
          Put it out
        </button>
      </li>
    </ul>
    <div class="pair" data-testid="pair">
      <button v-if="!screens.invited" type="button" class="plain-button" @click="screens.startInvite()">
        Join another screen
      </button>
      <template v-else-if="code">
        <svg
          class="code"
          :viewBox="`0 0 ${code.modules} ${code.modules}`"
          role="img"
          aria-label="The link as a code to scan"
        >
          <path :d="code.path" />
        </svg>
        <div>
          <p>
            Scan this with the other screen, or open the link there. It lets in whoever has it until
            {{ format(new Date(screens.invited.until), 'HH:mm') }}.
          </p>
          <p class="link">
            <a :href="screens.invited.link" target="_blank" rel="noopener" translate="no" data-testid="pair-link">{{
              screens.invited.link
            }}</a>
          </p>
          <p v-if="screens.invited.isLocal" class="quiet small">
            The server is on this machine alone, so the link works on it alone. Started with
            <code translate="no">npm start -- --shop</code> it is on the shop's network, for phones too.
          </p>
          <p v-else class="quiet small">
            A phone that warns of this machine has yet to <NuxtLink to="/trust">come to trust it</NuxtLink>.
          </p>
          <button type="button" class="plain-button slight" @click="screens.takeBack()">Take the link back</button>
        </div>
      </template>
    </div>
    <form
      v-if="screens.state === 'joined'"
      class="row me"
      aria-label="This screen"
      @submit.prevent="screens.rename(name)"
    >
      <v-text-field
        v-model="name"
        label="What this screen is called"
        maxlength="60"
        data-testid="pair-name"
        @blur="screens.rename(name)"
      />
      <button type="button" class="plain-button slight" data-testid="pair-leave" @click="screens.leave()">
        Leave the others
      </button>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 22px 0 4px;
  font-size: 1.1rem;
}
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: flex-start;
  width: fit-content;
  max-width: 100%;
}
.pair > div {
  flex: 1 1 260px;
  min-width: 0;
}
.code {
  width: 200px;
  height: 200px;
  background: #fff;
  fill: #000;
  shape-rendering: crispEdges;
}
.link {
  overflow-wrap: anywhere;
}
.others {
  list-style: none;
  padding: 0;
  margin: 8px 0 14px;
}
.others li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  border-top: 1px solid var(--hairline);
  padding: 6px 0;
}
.others li > button {
  margin-left: auto;
}
.away b {
  font-weight: 500;
}
.me {
  margin-top: 14px;
  align-items: stretch;
}
.me > :first-child {
  flex: 0 1 300px;
}
.trouble {
  color: var(--stop);
}
</style>
