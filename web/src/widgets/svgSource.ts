/** A picture that came as SVG, as the source of an image. */
export const svgSource = (svg: string) => `data:image/svg+xml,${encodeURIComponent(svg)}`
