<script setup lang="ts">
import { ChevronLeft, Printer } from 'lucide-vue-next'

const route = useRoute()
const store = usePlanStore()
const id = await useClientPlan('print')
const isBlock = computed(() => route.query.block === '1')
await useAsyncData(`print-loads-${id}`, () => useLoadsStore().load())
useHead({ title: () => `${store.client?.name ?? 'Client'} · Print · Tholepin` })

const day = computed(() =>
  typeof route.query.day === 'string' ? Number(route.query.day) - 1 : null,
)
const sheets = usePrintedSessions(() => ({
  day: day.value,
  session: Number(route.query.session ?? 1) - 1,
  on: typeof route.query.on === 'string' ? route.query.on : null,
  isBlock: isBlock.value,
}))
const print = () => window.print()
/** What the plan was weighed against, instead of its sessions. */
const isWeighed = computed(() => route.query.weighed === '1')
const weighed = computed(() => store.plan?.weighed ?? [])
</script>

<template>
  <div class="paper">
    <nav class="bar" aria-label="Print">
      <NuxtLink
        :to="
          isWeighed
            ? `/clients/${id}/proposals`
            : isBlock
              ? `/clients/${id}/block`
              : day === null
                ? `/clients/${id}/split`
                : `/clients/${id}/session/${day + 1}`
        "
        class="control"
      >
        <ChevronLeft :size="15" aria-hidden="true" /> Back
      </NuxtLink>
      <NuxtLink v-if="day !== null" :to="`/clients/${id}/print`" class="quiet-link">
        the whole rotation
      </NuxtLink>
      <span v-if="isWeighed" class="flex-1 text-ink2">A4, one page</span>
      <span v-else class="flex-1 text-ink2"
        >A4, {{ sheets.length }} {{ sheets.length === 1 ? 'session' : 'sessions' }}, each on its own
        page</span
      >
      <button
        type="button"
        class="control control-strong"
        :disabled="isWeighed ? weighed.length === 0 : sheets.length === 0"
        @click="print()"
      >
        <Printer :size="15" aria-hidden="true" /> Print
      </button>
    </nav>
    <main class="on-paper max-w-full overflow-x-auto" tabindex="0" aria-label="The sheets">
      <h1 class="sr-only">{{ store.client?.name }}, {{ store.plan?.title }}</h1>
      <PrintedTerms
        v-if="isWeighed"
        :who="store.client?.name ?? ''"
        :title="store.plan?.title ?? ''"
        :weighed="weighed"
      />
      <PrintedSheet
        v-for="sheet in isWeighed ? [] : sheets"
        :key="sheet.key"
        :sheet="sheet"
        :who="store.client?.name ?? ''"
      />
      <p v-if="!isWeighed && sheets.length === 0" class="p-8">
        There is no session to print here yet.
      </p>
    </main>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 20px;
  border-bottom: 1px solid var(--line);
  background: var(--ground);
}
main {
  padding: 10mm 0;
  background: #fff;
}
@media print {
  .bar {
    display: none;
  }
  main {
    padding: 0;
  }
}
@page {
  size: A4;
  margin: 12mm;
}
</style>
