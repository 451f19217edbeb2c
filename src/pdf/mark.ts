/** A bookmark, so that a reader's side bar lists the parts. */
export const mark = (title: string) => ({ bookmark: { title, fit: true } }) as object;
