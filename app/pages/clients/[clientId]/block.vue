<template>
  <BlockScreen />
</template>
