<template>
  <svg viewBox="0 0 360 190" class="w-full max-w-[400px]" aria-hidden="true">
    <path d="M20 150h320" stroke="var(--line)" stroke-width="3" />
    <path d="M20 60h320" stroke="var(--flex-peg)" stroke-width="2" opacity=".6" />
    <rect x="52" y="57" width="104" height="7" rx="3.5" fill="var(--flex-peg)" />
    <g fill="var(--flex-peg)">
      <template v-for="at in 5" :key="at">
        <rect :x="50 + at * 16" y="32" width="5" height="28" />
        <circle :cx="52.5 + at * 16" cy="31" r="6" />
      </template>
    </g>
    <rect x="206" y="147" width="104" height="7" rx="3.5" fill="var(--ext-peg)" />
    <path d="M20 150h320" stroke="var(--ext-peg)" stroke-width="2" opacity=".6" />
    <g fill="var(--ext-peg)">
      <template v-for="at in 4" :key="at">
        <rect :x="206 + at * 16" y="122" width="5" height="28" />
        <rect :x="202.5 + at * 16" y="119" width="12" height="6" />
      </template>
      <g fill="none" stroke="var(--ext-peg)" stroke-width="1.8">
        <rect x="286" y="134" width="3.500" height="14" />
        <rect x="284" y="129" width="7.500" height="5.500" />
        <rect x="298" y="134" width="3.500" height="14" />
        <rect x="296" y="129" width="7.500" height="5.500" />
      </g>
    </g>
  </svg>
</template>
