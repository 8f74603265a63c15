export { setup as default } from './jestDatabase.mjs'
