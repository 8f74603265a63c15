<template>
  <TrendsScreen />
</template>
