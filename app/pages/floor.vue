<template>
  <FloorScreen />
</template>
