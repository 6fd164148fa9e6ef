/**
 * Keeps the words of a drawing as large as those around it, however small the drawing is shown: sets `--drawn` to how many of
 * its own lengths make a pixel. For `{@attach legible}` on an svg whose text is sized by it.
 */
export function legible(drawing: SVGSVGElement): () => void {
  const measure = () => {
    const scale = drawing.getScreenCTM()?.a;
    if (scale) drawing.style.setProperty('--drawn', String(1 / scale));
  };
  const watched = new ResizeObserver(measure);
  watched.observe(drawing);
  return () => watched.disconnect();
}
