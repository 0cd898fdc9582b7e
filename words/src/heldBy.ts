/** What a station hangs on, for a sheet: its marks, and plainly how, where they do not say it by themselves. */
export function heldBy(method: string | undefined, marks: readonly string[]): string {
  const names = marks.join(', ');
  switch (method) {
    case 'assumed':
      return `over ${names}, direction assumed: nothing tests it`;
    case 'onLines':
      return 'points on drawn lines';
    case 'carried':
      return `${names}, carried forward`;
    case 'paired':
      return `plan from a receiver, height from ${names}`;
    default:
      return names;
  }
}
