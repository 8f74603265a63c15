<script setup lang="ts">
/** Why the best of the proposals meets no more, and what one step more of each hurdle would buy. */
const { wants, purchases } = defineProps<{
  wants: readonly { readonly want: string; readonly lines: readonly string[] }[]
  purchases: readonly string[]
}>()
</script>

<template>
  <section aria-label="Why not more" class="mt-6">
    <h2 class="text-[14px] font-[650]">Why not more</h2>
    <p class="text-[12.5px] text-ink2">
      For the proposal that meets your wants best, with nothing else given up. Each line alone is
      enough to rule more out, and each is proven.
    </p>
    <div class="mt-1 grid gap-x-8 gap-y-2 md:grid-cols-2">
      <dl>
        <template v-for="one in wants" :key="one.want">
          <dt class="mt-1 font-semibold">{{ one.want }}</dt>
          <dd v-for="line in one.lines" :key="line">{{ line }}</dd>
        </template>
      </dl>
      <div v-if="purchases.length > 0">
        <h3 class="mt-1 font-semibold">What one step more would buy</h3>
        <ul>
          <li v-for="purchase in purchases" :key="purchase">{{ purchase }}</li>
        </ul>
      </div>
    </div>
  </section>
</template>
