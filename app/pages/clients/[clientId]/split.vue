<template>
  <SplitScreen />
</template>
