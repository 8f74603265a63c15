<template>
  <OutboxScreen />
</template>
