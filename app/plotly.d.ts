/** The small build has the types of the whole package. */
declare module 'plotly.js-basic-dist-min' {
  import * as Plotly from 'plotly.js'

  export default Plotly
}
