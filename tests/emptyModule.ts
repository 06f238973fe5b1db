/** Stands in for style sheets and for the marker of server code, which mean nothing to unit tests. */
const empty = {};
export default empty;
