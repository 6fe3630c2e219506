/** The package has no types of its own: what is used of it. */
declare module 'svgcanvas' {
  export class Context {
    constructor(options: Readonly<{ width: number; height: number; document?: Document }>)
    getSerializedSvg(fixNamedEntities?: boolean): string
  }
}
