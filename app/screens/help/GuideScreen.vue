<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { foundChapters } from './guideText'

/** The guide, the shorthand and the methods, searched as one. */
useHead({ title: 'Guide · Tholepin' })
const route = useRoute()
const isLive = useMounted()
const typed = ref(String(route.query.q ?? ''))
const chapters = computed(() => foundChapters(typed.value))
/** While something is searched, what was found stands open. */
const isSearching = computed(() => typed.value.trim() !== '')
const MOST_OPEN = 5
</script>

<template>
  <div>
    <AppBar />
    <main
      class="mx-auto grid max-w-[1100px] grid-cols-[240px_minmax(0,1fr)] gap-10 px-5 pt-4 pb-12 max-md:grid-cols-1 max-md:px-3"
      :aria-busy="!isLive"
    >
      <nav aria-label="Chapters" class="self-start md:sticky md:top-4">
        <h1 class="font-display text-[23px] leading-[27px]">Guide</h1>
        <input
          v-model="typed"
          type="search"
          class="field mt-2"
          aria-label="Search the guide"
          placeholder="Search the guide"
          autocomplete="off"
        />
        <p role="status" class="mt-1 text-[12px] text-ink2">
          {{
            isSearching
              ? `${chapters.length} ${chapters.length === 1 ? 'chapter' : 'chapters'}`
              : ''
          }}
        </p>
        <ol class="mt-1 max-h-[60vh] overflow-y-auto max-md:hidden" tabindex="0">
          <li v-for="chapter in chapters" :key="chapter.id">
            <a :href="`#${chapter.id}`" class="quiet-link">{{ chapter.title }}</a>
          </li>
        </ol>
      </nav>
      <div>
        <details
          v-for="(chapter, at) in chapters"
          :id="chapter.id"
          :key="chapter.id"
          class="border-b border-hair py-1"
          :open="isSearching ? at < MOST_OPEN : at === 0"
        >
          <summary class="cursor-pointer py-1 text-[15px] font-[650]">
            {{ chapter.title }}
            <span class="text-[12px] font-normal text-ink2">{{ chapter.book }}</span>
          </summary>
          <!-- eslint-disable-next-line vue/no-v-html -- written by us, in docs/ -->
          <div class="prose" v-html="chapter.html" />
        </details>
        <p v-if="chapters.length === 0" class="py-4 text-ink2">
          Nothing about that. Try another word; keys of each screen stand under ?.
        </p>
      </div>
    </main>
  </div>
</template>

<style scoped>
.prose {
  max-width: 74ch;
  padding: 2px 0 10px;
  overflow-x: auto;
  font-size: 14px;
  line-height: 1.5;
}
.prose :deep(p),
.prose :deep(ul),
.prose :deep(ol),
.prose :deep(table) {
  margin-bottom: 8px;
}
.prose :deep(ul) {
  padding-inline-start: 18px;
  list-style: disc;
}
.prose :deep(ol) {
  padding-inline-start: 18px;
  list-style: decimal;
}
.prose :deep(a) {
  text-decoration: underline;
}
.prose :deep(th),
.prose :deep(td) {
  padding: 2px 12px 2px 0;
  vertical-align: top;
  text-align: start;
}
.prose :deep(code),
.prose :deep(pre) {
  padding: 0 3px;
  background: var(--sunk);
  border-radius: 3px;
  white-space: pre-wrap;
}
.prose :deep(h3) {
  margin: 8px 0 2px;
  font-size: 14px;
  font-weight: 650;
}
</style>
