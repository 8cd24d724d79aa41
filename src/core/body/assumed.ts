/** Body mass that energy is told for where nobody's is known: the 70 kg of the Compendium's standard person. Kilograms. */
export const ASSUMED_BODY_MASS = 70;
