/** The open databases of the storage package, by name; see metro.config.js. */
declare module 'async-storage-connections' {
  const connections: { readonly registry: Map<string, unknown> };
  export default connections;
}
