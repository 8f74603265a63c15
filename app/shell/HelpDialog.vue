<script setup lang="ts">
import { STUDIO_WAYS, wayAt } from './places'
import { SCREEN_HELP } from './screenHelp'

/** Help for the open screen: its keys, from the same table that the keys themselves go by, its signs, and three ways. */
const { sections, isHelpOpen } = useShownActions()
const route = useRoute()
const here = computed(() =>
  route.path.startsWith('/clients/')
    ? wayAt(route.path)
    : (STUDIO_WAYS.find(({ path }) => route.path.startsWith(path)) ?? STUDIO_WAYS[0]),
)
const help = computed(() => SCREEN_HELP[here.value.id])
const typed = ref('')
function search(): void {
  isHelpOpen.value = false
  void navigateTo({ path: '/guide', query: { q: typed.value.trim() || help.value.guide } })
}
</script>

<template>
  <PanelDialog :title="`Help: ${here.name}`" :width="760" @closed="isHelpOpen = false">
    <form class="mt-2 flex gap-2" role="search" @submit.prevent="search">
      <input
        v-model="typed"
        data-first
        type="search"
        class="field"
        aria-label="Search the guide"
        :placeholder="`Search the guide, or Enter for “${help.guide}”`"
      />
      <button type="submit" class="control">Open the guide</button>
    </form>
    <div class="mt-3 grid grid-cols-2 gap-x-8 gap-y-3 max-md:grid-cols-1">
      <section aria-labelledby="help-ways">
        <h3 id="help-ways" class="section-head">How to</h3>
        <ul class="flex flex-col gap-1">
          <li v-for="way in help.ways" :key="way">{{ way }}</li>
        </ul>
        <h3 class="section-head mt-3">Signs</h3>
        <dl class="grid grid-cols-[120px_1fr] gap-x-3 gap-y-1">
          <template v-for="[sign, meaning] in help.signs" :key="sign">
            <dt class="font-semibold">{{ sign }}</dt>
            <dd>{{ meaning }}</dd>
          </template>
        </dl>
      </section>
      <section aria-labelledby="help-keys">
        <h3 id="help-keys" class="section-head">Keys</h3>
        <template v-for="section in sections" :key="section.title">
          <h4 class="mt-1 text-[12px] text-ink2">On {{ section.title }}</h4>
          <dl class="grid grid-cols-[130px_1fr] gap-y-1">
            <template v-for="action in section.actions" :key="action.id">
              <dt class="flex gap-1">
                <KeyCap v-for="cap in action.caps" :key="cap" :label="cap" />
              </dt>
              <dd>{{ action.label }}</dd>
            </template>
          </dl>
          <p v-if="section.mouse" class="mt-2 text-ink2">With the mouse: {{ section.mouse }}</p>
        </template>
        <p class="mt-2 flex flex-wrap items-center gap-2 text-ink2">
          <KeyCap label="?" /> this help · <KeyCap label="/" /> find anything · <KeyCap label="⇧" />
          <KeyCap label="G" /> go to another screen by its letter
        </p>
      </section>
    </div>
  </PanelDialog>
</template>
