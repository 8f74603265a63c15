<template>
  <SignInScreen />
</template>
