<script setup lang="ts">
import { useTrust } from './use-trust'

/** Helps a phone to trust the shop's own machine, and says what is missing as long as it does not. */
const { network, asked, isSealed, isTrusted } = useTrust()
</script>

<template>
  <div class="page trust">
    <h1>This machine on the shop's network</h1>
    <p v-if="isTrusted" role="status" data-testid="trusted">
      This screen trusts the machine: the application can be kept on it, takes pictures, and works with the server gone.
    </p>
    <p v-else-if="isTrusted === false" role="status" data-testid="untrusted">
      {{
        isSealed
          ? 'This screen does not trust the machine yet. Camera, clocks and storage work all the same; it cannot be kept on the screen, nor work with the server gone, because a browser keeps a page only of a machine that it trusts.'
          : 'This page was opened without https: the camera and the joining of screens want it. Open the address that begins with https.'
      }}
    </p>
    <template v-if="network?.network">
      <h2>So that it does</h2>
      <ol>
        <li>
          <a href="/api/shop/root" download="wild-sparrow-root.crt">Take the root certificate</a> onto this screen. It
          was made by this machine at its first start, and its key never leaves it.
        </li>
        <li>
          On most phones and tablets: Settings, Security, Encryption and credentials, Install a certificate, CA
          certificate; pick the file.
        </li>
        <li>
          On those that call it a profile: open the file, Settings, Profile downloaded, Install; then General, About,
          Certificate trust settings, and switch it on.
        </li>
        <li>On a desk: in the browser's settings, Certificates, Authorities, Import; for websites.</li>
        <li>Close the browser, open <a :href="network.network" translate="no">{{ network.network }}</a> anew.</li>
      </ol>
      <p class="quiet small">
        Compare before you trust it; on the machine it says the same. SHA-256:
        <code translate="no">{{ network.fingerprint }}</code>
      </p>
      <p class="quiet small">
        Whoever holds the key of this root could pass for other sites on a screen that trusts it: it lies in the folder
        <code translate="no">.shop</code> of the machine, for its owner alone. Take the certificate off the screen again
        when the shop no longer uses it.
      </p>
    </template>
    <p v-else-if="asked">
      This server is on this machine alone. Started with <code translate="no">npm start -- --shop</code> it is on the
      shop's network too, and this page helps a phone to trust it.
    </p>
    <p><NuxtLink to="/">To the shelf</NuxtLink></p>
  </div>
</template>

<style scoped>
.trust {
  max-width: 760px;
}
h2 {
  font-size: 1.1rem;
  margin: 18px 0 4px;
}
li {
  margin: 6px 0;
}
code {
  font-family: var(--figures);
  font-size: 0.85rem;
  overflow-wrap: anywhere;
}
</style>
