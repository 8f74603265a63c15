<template>
  <ReportScreen />
</template>
