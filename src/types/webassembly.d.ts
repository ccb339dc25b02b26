// As much of WebAssembly as the core uses: it compiles without a browser's types.
declare namespace WebAssembly {
  class Module {
    constructor(bytes: Uint8Array);
  }
  class Instance {
    constructor(module: Module);
    readonly exports: unknown;
  }
}
