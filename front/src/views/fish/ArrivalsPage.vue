<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { useSession, useShipments } from '@/api/queries'
import type { System } from '@/api/types'
import { quantity } from '@/units/chosen'
import { clock } from '@/units/time'
import BagBench from './BagBench.vue'
import BagForm from './BagForm.vue'
import BagRow from './BagRow.vue'
import ShipmentForm from './ShipmentForm.vue'

const props = defineProps<{ system: System }>()
const query = useShipments(() => props.system.slug)
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const page = computed(() => query.data.value)
const receiving = ref(false)
/** The shipment that a bag is added to. */
const adding = ref('')
function received(id: string): void {
  receiving.value = false
  adding.value = id
}
</script>

<!-- Fish at the door: what waits, what opening each bag does, and how they get into this water. -->
<template>
  <p v-if="query.isError.value && !page" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Reading the book …</p>
  <template v-else>
    <section v-if="page.before" aria-label="Before they go in">
      <p class="lead">
        {{ page.before.fish }} fish of {{ quantity(page.before.kg, 'kg', 2) }} wait.
        {{ page.before.carries ? 'This water carries them.' : 'This water does not carry them as it is.' }}
      </p>
      <ul class="says">
        <li v-for="one in page.before.says" :key="one.code">{{ one.text }}</li>
        <li v-if="page.starts_again">{{ page.starts_again.text }}</li>
      </ul>
    </section>
    <p v-else class="lead">No fish wait at the door.</p>
    <NButton v-if="writes && !receiving" type="primary" @click="receiving = true">A shipment came</NButton>
    <ShipmentForm v-if="receiving" :system="system" @done="received" />
    <section
      v-for="shipment in page.shipments"
      :key="shipment.id"
      class="part"
      :aria-label="`From ${shipment.from_whom}`"
    >
      <h2>From {{ shipment.from_whom }}</h2>
      <p class="soft small">
        Arrived {{ clock(shipment.arrived_at)
        }}<template v-if="shipment.packed_at">, packed {{ clock(shipment.packed_at) }}</template
        ><template v-if="shipment.boxes"
          >, {{ shipment.boxes }} {{ shipment.boxes === 1 ? 'box' : 'boxes' }}</template
        ><template v-if="shipment.by">, {{ shipment.by }}</template>
      </p>
      <ul class="rows">
        <BagRow
          v-for="bag in shipment.bags"
          :key="bag.id"
          :system="system"
          :shipment="shipment.id"
          :bag="bag"
          :writes="writes"
          :starts-again="page.starts_again?.text ?? null"
        />
      </ul>
      <BagForm v-if="adding === shipment.id" :system="system" :shipment="shipment.id" @done="adding = ''" />
      <button v-else-if="writes" type="button" class="link-button small" @click="adding = shipment.id">
        Add a bag
      </button>
    </section>
    <p class="soft small">
      <RouterLink :to="{ name: 'losses' }">Survival and losses</RouterLink> of all shipments
    </p>
    <section class="part" aria-label="A bag that is not in the book">
      <h2>A bag that is not in the book</h2>
      <BagBench :system="system" />
    </section>
  </template>
</template>

<style scoped>
.says {
  max-width: 46rem;
  margin: 0 0 0.9rem;
}

.says li {
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--hair);
}
</style>
