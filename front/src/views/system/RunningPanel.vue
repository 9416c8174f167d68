<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useRunning, useSession, useSystems } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'

const props = defineProps<{ system: System }>()
const running = useRunning(() => props.system.slug)
const session = useSession()
const reason = ref('')
const KINDS = {
  water: 'pump',
  airlift: 'airlift',
  circulator: 'circulator',
  air: 'air pump',
  heater: 'heater',
  lamp: 'UV lamp',
  valve: 'valve',
  outlet: 'outlet of air',
} as const
const SAID = { on: 'on', off: 'off', alternate: 'alternate days', lent: 'lent' } as const
const SHUT = { on: 'open', off: 'shut', alternate: 'alternate days', lent: 'lent' } as const
const turned = (kind: keyof typeof KINDS) => kind === 'valve' || kind === 'outlet'
const said = (kind: keyof typeof KINDS, state: keyof typeof SAID) =>
  turned(kind) ? SHUT[state] : SAID[state]
/** A valve that was shut by somebody stands among what runs; the others wait behind a press. */
const seen = ref(false)
const things = computed(() => [
  ...(running.data.value?.things ?? []),
  ...(running.data.value?.outlets ?? []),
  ...(running.data.value?.valves ?? []).filter((valve) => seen.value || valve.state === 'off'),
])
const others = (kind: keyof typeof KINDS, state: keyof typeof SAID) =>
  (turned(kind)
    ? (['on', 'off'] as const)
    : kind === 'lamp'
      ? (['on', 'off', 'alternate'] as const)
      : (['on', 'off', 'lent'] as const)
  ).filter((one) => one !== state)
/** What is about to be lent: to which system is asked first. */
const lending = ref<string | null>(null)
const systems = useSystems()
const elsewhere = computed(() =>
  (systems.data.value ?? []).filter((one) => one.slug !== props.system.slug && !one.asleep),
)
/** Whether water stands for this pump: then it is on when somebody has seen it flow, and not before. */
const stands = (id: string) => running.data.value?.stands?.part === id
const send = useSend(
  (to: { part: string; state: string; to?: string }, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/switchings/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body: { ...to, reason: reason.value },
      }),
    ),
  () => {
    reason.value = ''
    lending.value = null
  },
  (to) => `${to.part} ${to.state}`,
)
const undo = useSend((id: string) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/switchings/{id}', {
      params: { path: { system: props.system.slug, id } },
    }),
  ),
)
</script>

<!-- Everything that can be switched here: one press, with its time, person and reason. -->
<template>
  <section
    v-if="
      running.data.value &&
      running.data.value.things.length +
        running.data.value.valves.length +
        running.data.value.borrowed.length >
        0
    "
    class="part"
    aria-label="What runs"
  >
    <h2>What runs</h2>
    <p v-if="running.data.value.stands" class="fault" role="alert">{{ running.data.value.stands.text }}</p>
    <ul class="rows">
      <li v-for="thing in things" :key="thing.id">
        <span
          ><b>{{ thing.name }}</b> <span class="soft small">{{ KINDS[thing.kind] }}</span></span
        >
        <span :class="{ fault: thing.state === 'off' || thing.state === 'lent' }"
          >{{ said(thing.kind, thing.state) }}<template v-if="thing.to"> to {{ thing.to }}</template>
          <span v-if="thing.since" class="soft small"
            >{{ thing.since }}<template v-if="thing.by">, {{ thing.by }}</template
            ><template v-if="thing.reason">: {{ thing.reason }}</template></span
          ></span
        >
        <span v-if="session.data.value?.person?.writes" class="presses">
          <button
            v-for="state in others(thing.kind, thing.state)"
            :key="state"
            type="button"
            class="link-button small"
            :aria-label="
              turned(thing.kind) ? `${thing.name} ${SHUT[state]}` : `Switch ${thing.name} ${SAID[state]}`
            "
            :aria-expanded="state === 'lent' ? lending === thing.id : undefined"
            @click="
              state === 'lent'
                ? (lending = lending === thing.id ? null : thing.id)
                : send.send({ part: thing.id, state })
            "
          >
            {{
              state === 'on' && stands(thing.id)
                ? 'on, and I see it flow'
                : state === 'lent'
                  ? 'lend'
                  : said(thing.kind, state)
            }}
          </button>
        </span>
        <span v-if="lending === thing.id" class="lend">
          Lend {{ thing.name }} to
          <button
            v-for="one in elsewhere"
            :key="one.slug"
            type="button"
            class="link-button"
            @click="send.send({ part: thing.id, state: 'lent', to: one.slug })"
          >
            {{ one.name }}
          </button>
          <button type="button" class="link-button" @click="send.send({ part: thing.id, state: 'lent' })">
            somebody else
          </button>
        </span>
      </li>
    </ul>
    <p v-for="one in running.data.value.borrowed" :key="one.name" class="small">
      <b>{{ one.name }}</b> ({{ KINDS[one.kind] }}) is lent by
      <router-link :to="`/${one.from_slug}`">{{ one.from }}</router-link>{{
        one.circulates
          ? '. Its flow is not counted here: it stands in no line of this system.'
          : ' and counts here.'
      }}
    </p>
    <p v-if="running.data.value.valves.length" class="small">
      <button type="button" class="link-button" :aria-expanded="seen" @click="seen = !seen">
        {{ seen ? 'Without the valves' : `Its ${running.data.value.valves.length} valves` }}
      </button>
    </p>
    <p v-if="session.data.value?.person?.writes" class="small">
      <label
        >Reason, kept with the next switch
        <input v-model="reason" class="inline" maxlength="200" aria-label="Reason for the next switch"
      /></label>
      <button
        v-if="running.data.value.latest[0]"
        type="button"
        class="link-button"
        @click="undo.send(running.data.value.latest[0].id)"
      >
        Undo: {{ running.data.value.latest[0].text }}
      </button>
    </p>
    <p v-if="send.trouble.value ?? send.errors.value.state ?? undo.trouble.value" class="fault" role="alert">
      {{ send.errors.value.state ?? send.trouble.value ?? undo.trouble.value }}
    </p>
    <p class="soft small">
      Mains electricity by water: switch off at the socket and dry your hands before you touch a pump or a
      lamp; a residual-current device, put in by a qualified electrician.
    </p>
  </section>
</template>

<style scoped>
.part {
  margin-bottom: 2rem;
}

.rows li {
  display: grid;
  grid-template-columns: 14rem minmax(0, 1fr) auto;
  gap: 0.25rem 1.5rem;
}

.rows .lend {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.25rem;
}

.presses {
  display: flex;
  gap: 1.25rem;
}

@media (max-width: 720px) {
  .rows li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
