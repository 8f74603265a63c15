<template>
  <CompareScreen />
</template>
