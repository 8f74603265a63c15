<template>
  <PrintScreen />
</template>
