<template>
  <NewPasswordScreen />
</template>
