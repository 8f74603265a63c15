<script setup lang="ts">
import { METHOD_CHOICES, methodDifferences } from '#core/words'
import { methodById, METHODS } from '#core/plan/method'
import { SavedMethod } from '#shared/contracts/method'

useHead({ title: 'Methods · Tholepin' })
const { ask } = useApi()
const { own, refreshMethods } = useStudioSettings()
const [usual] = METHODS
const complaint = ref('')
const copying = ref<string | null>(null)
const copyName = ref('')
const mine = computed(() =>
  own.value.map(({ method, basedOn, clients }) => {
    const base = methodById(basedOn)
    return {
      id: method.id,
      name: method.name,
      base: base.name,
      differences: methodDifferences(method, base),
      clients: clients.map(({ name }) => name),
    }
  }),
)

function startCopy(from: string, name: string): void {
  copying.value = from
  copyName.value = `${name}, my way`
}
async function copy(): Promise<void> {
  const result = await ask('/api/methods', {
    method: 'POST',
    body: { from: copying.value, name: copyName.value },
    answer: SavedMethod,
  })
  complaint.value = result.ok
    ? ''
    : result.error.kind === 'refused'
      ? result.error.problem.detail
      : 'The server does not answer. Nothing was copied; try again.'
  if (!result.ok) return
  copying.value = null
  await refreshMethods()
  await navigateTo(`/methods/${result.value.id}`)
}
async function remove(id: string): Promise<void> {
  const result = await ask(`/api/methods/${id}`, { method: 'DELETE', answer: SavedMethod })
  complaint.value = result.ok
    ? ''
    : result.error.kind === 'refused'
      ? result.error.problem.detail
      : 'The server does not answer. Nothing was removed; try again.'
  await refreshMethods()
}
const rows = METHOD_CHOICES.map(({ choice, says, reason, evidence }) => ({
  choice,
  reason,
  evidence,
  cells: METHODS.map(method => ({
    id: method.id,
    text: says(method),
    differs: usual !== undefined && says(method) !== says(usual),
  })),
}))
</script>

<template>
  <div>
    <AppBar here="methods" />
    <main class="px-5 pt-5 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">Methods</h1>
      <p class="max-w-[90ch] text-ink2">
        Experienced coaches differ on all of this, and at equal weekly sets most of it matters
        little. A client follows one method; what differs from {{ usual?.name }} is blue and marked
        with a bar.
      </p>
      <section v-if="mine.length > 0" class="mt-4" aria-labelledby="mine">
        <h2 id="mine" class="text-[14px] font-[650]">Yours</h2>
        <ul>
          <li
            v-for="method in mine"
            :key="method.id"
            class="flex items-baseline gap-4 border-b border-hair py-1.5"
          >
            <NuxtLink
              :to="`/methods/${method.id}`"
              class="w-[220px] shrink-0 rounded font-display text-[15px] font-semibold hover:underline"
            >
              {{ method.name }}
            </NuxtLink>
            <span class="min-w-0 flex-1">
              <span class="text-ink2"
                >from {{ method.base
                }}{{ method.differences.length === 0 ? ', unchanged' : ': ' }}</span
              >
              <span
                v-for="(difference, at) in method.differences"
                :key="difference.choice"
                class="text-focus"
                >{{ at > 0 ? '; ' : '' }}{{ difference.choice.toLowerCase() }}
                {{ difference.is }}</span
              >
            </span>
            <span class="text-[12px] text-ink2">{{
              method.clients.length === 0 ? 'nobody follows it' : method.clients.join(', ')
            }}</span>
            <button
              type="button"
              class="control"
              :aria-label="`Remove ${method.name}`"
              @click="remove(method.id)"
            >
              Remove
            </button>
          </li>
        </ul>
      </section>
      <p v-if="complaint" role="alert" class="alert-chip mt-2">
        {{ complaint }}
      </p>
      <form v-if="copying" class="mt-3 flex items-center gap-2" @submit.prevent="copy">
        <label class="font-semibold" for="copy-name">Name of the copy</label>
        <input id="copy-name" v-model="copyName" class="small-field w-[240px]" autocomplete="off" />
        <button type="submit" class="control control-strong">Copy and change it</button>
        <button type="button" class="control" @click="copying = null">Cancel</button>
      </form>
      <div
        class="mt-4 overflow-x-auto"
        tabindex="0"
        role="region"
        aria-label="Methods side by side"
      >
        <table class="methods">
          <thead>
            <tr>
              <th scope="col">Choice</th>
              <th v-for="method in METHODS" :key="method.id" scope="col">
                <span class="font-display text-[15px]">{{ method.name }}</span>
                <span class="block font-normal text-ink2">{{ method.suits }}</span>
                <button
                  type="button"
                  class="control mt-1"
                  :aria-label="`Copy ${method.name}`"
                  @click="startCopy(method.id, method.name)"
                >
                  Copy
                </button>
              </th>
              <th scope="col">Why it is a choice</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.choice">
              <th scope="row">
                {{ row.choice }}
              </th>
              <td
                v-for="cell in row.cells"
                :key="cell.id"
                :data-differs="cell.differs || undefined"
              >
                {{ cell.text }}
              </td>
              <td class="reason">
                {{ row.reason }} <span class="whitespace-nowrap text-ink3">{{ row.evidence }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </main>
  </div>
</template>

<style scoped>
.methods {
  width: 100%;
  border-collapse: collapse;
  font-size: 12px;
}
.methods th,
.methods td {
  padding: 2px 10px 2px 8px;
  line-height: 16px;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--hair);
}
.methods thead th {
  min-width: 104px;
  vertical-align: bottom;
  border-bottom: 1.5px solid var(--ink);
  font-weight: 600;
}
.methods tbody th {
  font-weight: 600;
  white-space: nowrap;
}
.methods td[data-differs] {
  color: var(--focus);
  box-shadow: inset 2px 0 0 var(--focus);
}
.reason {
  min-width: 360px;
  color: var(--ink2);
}
</style>
