<template>
  <AccountScreen />
</template>
