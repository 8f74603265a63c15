<template>
  <MethodScreen />
</template>
