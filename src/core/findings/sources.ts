/** Where rules come from, as findings name it. */
export const COMMON = 'common practice, no source';
export const ACSM_48H = 'ACSM, Guidelines for Exercise Testing and Prescription: 48 h between, from memory';
export const ACSM_WARM_UP =
	'ACSM’s Guidelines for Exercise Testing and Prescription, from memory: 5 to 10 min';
export const ACSM_STRETCH = 'ACSM’s Guidelines, from memory: 10 to 30 s, older adults 30 to 60 s';
export const WHO = 'WHO 2020; Physical Activity Guidelines for Americans 2018';
export const FOSTER = 'Foster 1998, Med Sci Sports Exerc 30:1164';
export const SCHOENFELD = 'Schoenfeld, Ogborn and Krieger 2017, J Sports Sci 35:1073';
