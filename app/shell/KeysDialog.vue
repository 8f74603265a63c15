<script setup lang="ts">
/** Every key of the open screen, from the same table that the keys themselves go by. */
const { sections, isHelpOpen } = useShownActions()
</script>

<template>
  <PanelDialog
    :title="sections.map(({ title }) => `Keys of ${title}`).join(' · ')"
    :width="540"
    @closed="isHelpOpen = false"
  >
    <template v-for="section in sections" :key="section.title">
      <dl class="mt-3 grid grid-cols-[150px_1fr] gap-y-1">
        <template v-for="action in section.actions" :key="action.id">
          <dt class="flex gap-1">
            <KeyCap v-for="cap in action.caps" :key="cap" :label="cap" />
          </dt>
          <dd>{{ action.label }}</dd>
        </template>
      </dl>
      <p v-if="section.mouse" class="mt-3 text-ink2">With the mouse: {{ section.mouse }}</p>
    </template>
    <p class="mt-3 flex flex-wrap items-center gap-2 text-ink2">
      <KeyCap label="?" /> this list · <KeyCap label="/" /> find anything · <KeyCap label="⇧" />
      <KeyCap label="G" /> go to another screen by its letter
    </p>
  </PanelDialog>
</template>
