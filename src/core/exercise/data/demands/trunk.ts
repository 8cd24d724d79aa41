/** Demands of the exercises in `../trunk.ts`; columns and scale as `read.ts` explains them. */
export const TRUNK_DEMANDS = `
Standing bird dog               0 1 0 1 1 1 0 1 1  overhead  2 yes none  up     spot      long   -
Bird dog                        1 2 1 3 1 1 2 0 1  overhead  1 no  none  floor  spot      long   -
Bird dog row                    1 2 1 3 2 1 2 0 2  shoulder  2 no  none  floor  spot      long   0.4
Heel slide                      0 0 0 0 0 1 1 0 1  down      0 -   none  floor  spot      short  -
Dead bug                        0 1 0 0 1 1 0 0 2  overhead  0 -   none  floor  spot      long   -
Loaded dead bug                 0 2 1 1 1 1 0 0 2  shoulder  0 -   none  floor  spot      long   0.3
Hollow hold                     2 1 0 0 3 2 0 0 3  overhead  0 -   none  floor  spot      long   -
Wall plank                      0 1 1 0 0 0 0 0 1  shoulder  0 -   none  up     spot      long   -
Chair plank                     0 1 1 2 1 0 0 0 2  shoulder  0 -   none  up     spot      long   -
Knee plank                      0 1 1 0 1 0 2 0 2  shoulder  0 -   none  floor  spot      short  -
Plank                           1 1 1 0 1 0 0 1 3  shoulder  0 -   none  floor  spot      long   -
Plank with shoulder tap         1 2 1 3 1 1 0 1 3  shoulder  1 no  none  floor  spot      long   -
Long plank                      1 3 1 3 2 0 0 1 3  overhead  0 -   none  floor  spot      long   -
Knee side plank                 1 2 1 0 1 1 1 0 2  shoulder  0 -   none  floor  spot      short  -
Side plank                      1 2 1 0 1 1 0 1 2  shoulder  1 no  none  floor  spot      long   -
Side plank with leg raise       1 3 1 0 2 2 0 1 3  shoulder  2 no  none  floor  spot      long   -
Standing side crunch            0 1 0 0 1 1 0 1 1  overhead  2 yes none  up     spot      short  -
Half crunch                     2 0 0 0 2 0 0 0 3  down      0 -   none  floor  spot      short  -
Crunch with reach               2 1 0 0 3 1 0 0 3  shoulder  0 -   none  floor  spot      short  -
Leg lowering                    0 0 0 0 3 2 0 0 3  down      0 -   none  floor  spot      long   -
Bicycle crunch                  2 1 0 0 3 2 1 0 3  shoulder  0 -   none  floor  spot      short  -
Seated knee lift                0 0 0 0 0 1 0 0 1  down      0 -   none  up     spot      short  -
Seated lean back                0 0 0 0 1 1 0 0 2  down      0 -   none  up     spot      none   -
Band push from the chest        0 1 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      long   -
Band wood chop                  0 2 0 1 2 1 1 1 2  overhead  0 -   none  up     spot      long   -
Dumbbell wood chop              0 3 1 1 2 1 1 1 2  overhead  1 no  none  up     spot      long   0.5
Russian twist                   1 1 1 1 3 1 0 0 3  down      0 -   none  floor  spot      short  0.5
Standing band turn              0 1 0 1 2 0 0 0 1  shoulder  0 -   none  up     spot      long   -
Back extension                  1 1 0 0 2 1 0 0 1  down      0 -   none  floor  spot      long   -
Swimmer                         2 2 0 0 2 1 0 0 1  overhead  0 -   none  floor  spot      long   -
Bear hold                       1 2 1 3 1 1 2 1 2  shoulder  0 -   none  floor  spot      short  -
Bear crawl                      1 2 1 3 1 2 2 2 2  shoulder  1 no  none  floor  room      short  -
Inchworm                        1 2 1 3 2 2 0 1 3  overhead  0 -   none  floor  room      long   -
Suitcase hold                   0 1 0 1 1 0 0 0 1  down      0 -   none  up     spot      none   1
Suitcase carry                  0 1 0 1 2 1 1 1 2  down      1 no  none  up     room      none   1
Backpack suitcase carry         0 1 0 1 2 1 1 1 2  down      1 no  none  up     room      none   1
Two-hand carry                  1 1 0 1 1 1 1 1 2  down      1 no  none  up     room      none   0.8
Bottle carry                    0 1 0 1 1 1 0 1 1  down      1 no  none  up     room      none   0.4
Pack carry                      1 1 0 0 2 1 1 1 1  down      1 no  none  up     room      none   1.2
Front carry                     0 1 1 1 2 1 1 1 2  down      1 no  none  up     room      none   0.9
Overhead carry                  1 3 2 1 2 1 1 1 2  overhead  1 no  none  up     room      none   0.5
Seated turn                     0 0 0 0 1 0 0 0 1  down      0 -   none  up     spot      short  -
Seated weight turn              0 1 1 1 1 0 0 0 1  down      0 -   none  up     spot      short  0.35
Seated band turn                0 1 0 1 1 0 0 0 1  shoulder  0 -   none  up     spot      long   -
Seated suitcase hold            0 1 0 1 1 0 0 0 1  down      0 -   none  up     spot      none   0.6
Towel wring                     0 0 1 1 0 0 0 0 0  down      0 -   none  up     spot      short  -
Seated towel wring              0 0 1 1 0 0 0 0 0  down      0 -   none  up     spot      short  -
`;
