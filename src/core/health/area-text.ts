/** A place in words: an ankle stands for the foot as well. */
export const areaText = (place: string): string => (place === 'ankle' ? 'ankle or foot' : place);
