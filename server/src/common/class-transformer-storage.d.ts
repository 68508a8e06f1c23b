/** The package tells which class a part is of in no other way. */
declare module 'class-transformer/cjs/storage.js' {
  export { defaultMetadataStorage } from 'class-transformer/types/storage.js';
}
