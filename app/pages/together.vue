<template>
  <TogetherScreen />
</template>
