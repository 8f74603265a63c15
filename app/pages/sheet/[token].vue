<template>
  <SheetScreen />
</template>
