<template>
  <MethodsScreen />
</template>
