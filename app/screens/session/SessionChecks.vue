<script setup lang="ts">
import { CircleAlert, Info, OctagonAlert } from 'lucide-vue-next'
import { useSession } from './sessionContext'

/** What the checks say about this session, beside the exercise it is about, worst first. */
const builder = useSession()
const { worded } = useFindings()
const list = computed(() => builder.findings.value.map(worded))
const ICONS = { stop: OctagonAlert, caution: CircleAlert, info: Info } as const
const MOST = 5
const showsAll = ref(false)
const shown = computed(() =>
  showsAll.value ? list.value : list.value.slice(0, Math.max(MOST, builder.noticeAt.value + 1)),
)
</script>

<template>
  <section aria-label="Checks of this session">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[14px] font-[650]">
        To look at <span class="font-normal text-ink2">{{ list.length }}</span>
      </h2>
      <span v-if="list.length > 0" class="flex gap-3 text-[12px] text-ink2">
        <button type="button" class="quiet-link" @click="builder.nextNotice()">
          <KeyCap label="N" /> next
        </button>
        <button
          v-if="list.length > MOST"
          type="button"
          class="quiet-link"
          :aria-expanded="showsAll"
          @click="showsAll = !showsAll"
        >
          {{ showsAll ? 'fewer' : 'all' }}
        </button>
      </span>
    </div>
    <p v-if="list.length === 0" class="text-ink2">
      Nothing: order, rests, joints and minutes are in place.
    </p>
    <ul>
      <li
        v-for="(item, at) in shown"
        :key="item.key"
        class="finding"
        :data-current="builder.noticeAt.value === at || undefined"
      >
        <button
          type="button"
          class="flex w-full gap-1.5 text-left"
          @click="builder.showFinding(item.finding)"
        >
          <component
            :is="ICONS[item.finding.severity]"
            :size="14"
            class="mt-0.5 shrink-0"
            :class="item.finding.severity === 'info' ? 'text-ink3' : 'text-alert'"
            :aria-label="item.finding.severity"
            role="img"
          />
          <span class="min-w-0"
            ><span class="font-semibold">{{ item.sentence }}</span
            >{{ ' ' }}<span class="text-ink2">{{ item.reason }}</span></span
          >
        </button>
        <span v-if="builder.noticeAt.value === at" class="mt-1 flex gap-2 pl-5">
          <button
            v-if="item.hasFix"
            type="button"
            class="control"
            @click="builder.fix(item.finding)"
          >
            Fix it <KeyCap label="F" />
          </button>
          <button type="button" class="control" @click="builder.open('dismiss')">
            Dismiss… <KeyCap label="D" />
          </button>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.finding {
  padding: 4px;
  border-bottom: 1px solid var(--hair);
  font-size: 12.5px;
  line-height: 16px;
}
.finding[data-current] {
  background: var(--focus-wash);
}
</style>
