<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { useReference } from '@/api/queries'
import { figures } from '@/units/number'
import { shownUnit, symbolOf, valueOf } from '@/units/chosen'

const SHEETS = [
  ['limits', 'Limits'],
  ['log', 'Log bar'],
  ['chemicals', 'Chemicals'],
] as const
type Sheet = (typeof SHEETS)[number][0]
const shown = ref<Sheet>('limits')
const reference = useReference()
const page = computed(() => reference.data.value)
const print = () => window.print()
/** The lines of a limit, each in the unit one reads in. */
const limits = (line: string | null, unit: string | null) =>
  line === null || !shownUnit(unit)
    ? (line ?? '–')
    : line.replace(/[\d.,]+/g, (one) => figures(valueOf(Number(one.replace(',', '')), unit ?? '')))
</script>

<!-- Sheets to hang in the shed, from the same tables the product works by. One is shown, and that one is printed. -->
<template>
  <div class="page">
    <div class="page-head no-print">
      <h1>Reference sheets</h1>
      <div class="choices" role="group" aria-label="Sheet">
        <button
          v-for="[id, name] in SHEETS"
          :key="id"
          type="button"
          class="link-button"
          :aria-pressed="shown === id"
          @click="shown = id"
        >
          {{ name }}
        </button>
      </div>
      <NButton @click="print">Print this sheet</NButton>
    </div>
    <p v-if="reference.isError.value" class="fault" role="alert">{{ reference.error.value?.message }}</p>
    <p v-else-if="!page" class="soft">Opening …</p>
    <section v-else-if="shown === 'limits'" aria-label="Limits">
      <h2>Limits by life stage: watch · act · emergency</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="Table of limits">
        <table>
          <thead>
            <tr>
              <th>Reading</th>
              <th v-for="stage in page.stages" :key="stage">{{ stage }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in page.limits" :key="`${row.name} ${row.side}`">
              <th>
                {{ row.name }} {{ row.side }} <span class="soft small">{{ symbolOf(row.unit) }}</span>
              </th>
              <td v-for="(line, i) in row.lines" :key="i">{{ limits(line, row.unit) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <h3>Nitrate by school</h3>
      <ul class="rows">
        <li v-for="school in page.nitrate" :key="school.name">
          <b>{{ school.name }}</b> {{ school.says }}
        </li>
      </ul>
      <p class="soft small">
        A reading counts by the worse end of what its kit can tell. Your own limits and schools go before
        these.
      </p>
    </section>
    <section v-else-if="shown === 'log'" aria-label="Log bar">
      <h2>Log bar: what to type</h2>
      <dl class="lines">
        <template v-for="row in page.log" :key="row.line"
          ><dt>
            <kbd>{{ row.line }}</kbd>
          </dt>
          <dd>{{ row.books }}</dd></template
        >
      </dl>
      <p class="soft">
        Every field takes another unit behind the number: 2600 gal, 2200 imp gal, 64f, 5 lb, 8 oz, 6 ft, 4 in,
        2.5 gpm, 107 caco3, 0.3%.
      </p>
    </section>
    <section v-else aria-label="Chemicals">
      <h2>Order of work with chemicals</h2>
      <p>
        The label, a veterinarian and local law come first. Gloves and eye protection with everything here.
      </p>
      <article v-for="one in page.chemicals" :key="one.name">
        <h3>{{ one.name }}</h3>
        <ol>
          <li v-for="step in one.order" :key="step">{{ step }}</li>
        </ol>
        <p v-if="one.never_with.length"><b>Never with</b> {{ one.never_with.join(', ') }}.</p>
        <p class="small">{{ one.disposal }} {{ one.storage }}</p>
      </article>
    </section>
  </div>
</template>

<style scoped>
.choices {
  display: flex;
  gap: 1.25rem;
}

.choices [aria-pressed='true'] {
  font-weight: 700;
  color: var(--ink);
}

h3 {
  margin: 1rem 0 0.3rem;
  font-size: 1rem;
}

.lines {
  display: grid;
  grid-template-columns: minmax(10rem, auto) minmax(0, 1fr);
  gap: 0.35rem 1.5rem;
}

kbd {
  font: inherit;
  font-weight: 700;
}

ol {
  padding-left: 1.5rem;
  list-style: decimal;
}

article {
  break-inside: avoid;
}
</style>
