/** The package has no types of its own: what is used of it, its inner parts too. */
declare module 'svgcanvas' {
  export class Context {
    constructor(options: Readonly<{ width: number; height: number; document?: Document }>)
    font: string
    textAlign: CanvasTextAlign
    textBaseline: CanvasTextBaseline
    fillText: (text: string, x: number, y: number) => void
    getSerializedSvg(fixNamedEntities?: boolean): string
    __currentElement: Element
    __closestGroupOrSvg(): Element
    __createElement(
      name: string,
      attributes: Readonly<Record<string, string | number>>,
      isReset: true,
    ): Element
    __applyTransformation(element: Element): void
    __applyStyleToCurrentElement(action: 'fill' | 'stroke'): void
  }
}
