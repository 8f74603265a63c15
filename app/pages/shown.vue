<template>
  <ShownScreen />
</template>
