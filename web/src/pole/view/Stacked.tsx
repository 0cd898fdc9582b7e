/** Fractions of an inch one figure over the other, as they stand on a folding rule. */
export function Stacked({ text }: { readonly text: string }) {
  return text
    .replace(/\s+/g, ' ')
    .split(/\s?(\d+\/\d+)/)
    .map((part, i) => {
      const [top, bottom] = part.split('/');
      return bottom === undefined ? (
        <span key={i}>{part}</span>
      ) : (
        <span key={i} className="pole-fraction">
          <span className="sr-only"> {part}</span>
          <span aria-hidden="true">{top}</span>
          <span aria-hidden="true">{bottom}</span>
        </span>
      );
    });
}

/** How wide a figure is, in the height of its letters: digits, points and marks of feet and inches as Barlow has them. */
export function widthOf(figure: string): number {
  let width = 0;
  for (const part of figure.split(/\s?(\d+\/\d+)/))
    if (/^\d+\/\d+$/.test(part)) width += 0.36 * Math.max(...part.split('/').map((each) => each.length)) + 0.05;
    else for (const letter of part) width += /[\d–-]/.test(letter) ? 0.57 : 0.25;
  return width;
}
