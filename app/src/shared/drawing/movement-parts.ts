/** Lean of a drawn craft at full stick. */
export const LEAN_AT_FULL_DEG = 25;

/** Sets attributes of one part of the drawing. */
export const putOn = (id: string, attributes: Readonly<Record<string, string | number>>) => {
  const part = document.getElementById(id);
  if (part) for (const [name, value] of Object.entries(attributes)) part.setAttribute(name, String(value));
};
