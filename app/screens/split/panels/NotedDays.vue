<script setup lang="ts">
/** What notes were read as, day by day. */
const { days } = defineProps<{
  days: readonly {
    readonly title: string
    readonly lines: readonly {
      readonly key: string
      readonly name: string
      readonly isAsked: boolean
      readonly isPartner: boolean
      readonly sets: string
      readonly note: string
    }[]
  }[]
}>()
</script>

<template>
  <div
    class="grid max-h-[260px] gap-x-6 gap-y-2 overflow-y-auto md:grid-cols-3"
    tabindex="0"
    role="group"
    aria-label="What was read"
  >
    <section v-for="(day, at) in days" :key="at">
      <h3 dir="auto" class="text-[13.5px] font-[650]">{{ day.title }}</h3>
      <p v-if="day.lines.length === 0" class="text-ink2">rest</p>
      <ul class="text-[12.5px] leading-[18px]">
        <li
          v-for="line in day.lines.filter(({ name }) => name !== '')"
          :key="line.key"
          class="border-b border-hair"
        >
          <span v-if="line.isPartner" class="text-ink2">with </span
          ><span dir="auto" :class="line.isAsked && 'text-alert'">{{ line.name }}</span
          >{{ line.isAsked ? '?' : '' }} <span class="text-ink2">{{ line.sets }}</span><em
            v-if="line.note"
            dir="auto"
            class="text-ink2"
          >
            “{{ line.note }}”</em
          >
        </li>
      </ul>
    </section>
  </div>
</template>
