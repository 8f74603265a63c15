<template>
  <LastSheetScreen />
</template>
