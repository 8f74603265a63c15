<script setup lang="ts">
import { METHOD_CHOICES } from '#core/format'
import { METHODS } from '#core/method'

useHead({ title: 'Methods · Tholepin' })
const [usual] = METHODS
const rows = METHOD_CHOICES.map(({ choice, says, reason, evidence }) => ({
  choice, reason, evidence, cells: METHODS.map(method => ({ id: method.id, text: says(method), differs: usual !== undefined && says(method) !== says(usual) })),
}))
</script>

<template>
  <div class="min-w-[1080px]">
    <AppBar>
      <template #trail>
        <NuxtLink to="/roster" class="quiet-link">
          Roster
        </NuxtLink>
        <span class="font-semibold" aria-current="page">Methods</span>
      </template>
    </AppBar>
    <main class="px-5 pt-5 pb-12">
      <h1 class="font-display text-[23px] leading-[27px]">
        Methods
      </h1>
      <p class="max-w-[90ch] text-ink2">
        Experienced coaches differ on all of this, and at equal weekly sets most of it matters little. A client follows one method; what differs from {{ usual?.name }} is blue and marked with a bar.
      </p>
      <div class="mt-4 overflow-x-auto" tabindex="0" role="region" aria-label="Methods side by side">
        <table class="methods">
          <thead>
            <tr>
              <th scope="col">
                Choice
              </th>
              <th v-for="method in METHODS" :key="method.id" scope="col">
                <span class="font-display text-[15px]">{{ method.name }}</span>
                <span class="block font-normal text-ink2">{{ method.suits }}</span>
              </th>
              <th scope="col">
                Why it is a choice
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.choice">
              <th scope="row">
                {{ row.choice }}
              </th>
              <td v-for="cell in row.cells" :key="cell.id" :data-differs="cell.differs || undefined">
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
.methods { width: 100%; border-collapse: collapse; font-size: 12px; }
.methods th, .methods td { padding: 2px 10px 2px 8px; line-height: 16px; text-align: left; vertical-align: top; border-bottom: 1px solid var(--hair); }
.methods thead th { min-width: 104px; border-bottom: 1.5px solid var(--ink); font-weight: 600; }
.methods tbody th { font-weight: 600; white-space: nowrap; }
.methods td[data-differs] { color: var(--focus); box-shadow: inset 2px 0 0 var(--focus); }
.reason { min-width: 360px; color: var(--ink2); }
</style>
