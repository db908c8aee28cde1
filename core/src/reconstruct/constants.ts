/** Standard acceleration of free fall in m/s² (ISO 80000-3). */
export const G_MPS2 = 9.806_65;

export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (angle: number): number => (angle * 180) / Math.PI;
