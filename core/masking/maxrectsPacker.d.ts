/** The package names a script that Node.js cannot import by name; its module is imported by its own path, with the same types. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export * from 'maxrects-packer';
}
