/** Demands of the exercises in `../moving.ts`; columns and scale as `read.ts` explains them. */
export const MOVING_DEMANDS = `
March on the spot               0 0 0 0 0 1 0 1 0  down      1 yes none  up     spot      none   -
March with arms up              0 2 0 0 0 1 0 1 1  overhead  1 no  none  up     spot      none   -
Seated march                    0 0 0 0 0 1 0 0 0  down      0 -   none  up     spot      short  -
Seated step jack                0 1 0 0 0 1 0 0 0  shoulder  0 -   none  up     spot      none   -
Step touch                      0 0 0 0 0 1 0 1 0  down      1 yes none  up     spot      none   -
Fast feet                       0 0 0 0 0 1 1 2 1  down      1 no  low   up     spot      none   -
High knees                      0 1 0 0 1 2 2 3 2  down      2 no  high  up     spot      none   -
Butt kicks                      0 0 0 0 0 1 1 2 1  down      1 no  low   up     spot      none   -
Step jack                       0 2 0 0 0 1 0 1 0  overhead  1 no  none  up     spot      none   -
Jumping jack                    0 2 0 0 1 2 2 3 2  overhead  2 no  high  up     spot      long   -
Skater step                     0 0 0 0 1 2 2 2 1  down      2 no  low   up     room      none   -
Skater jump                     0 1 0 0 2 3 3 3 3  down      3 no  high  up     room      none   -
Incline climber                 0 2 1 2 1 2 1 1 3  shoulder  1 yes low   up     spot      long   -
Mountain climber                1 2 1 3 1 2 1 1 3  shoulder  1 no  low   floor  spot      long   -
Standing climber                0 2 0 0 0 1 0 1 1  overhead  2 no  none  up     spot      none   -
Squat thrust                    1 2 2 3 2 2 2 2 3  shoulder  1 no  low   floor  spot      long   -
Squat thrust with jump          1 2 2 3 2 3 3 3 3  overhead  3 no  high  floor  spot      long   -
Chair squat thrust              0 2 1 2 1 2 2 1 3  shoulder  1 yes none  up     spot      long   -
Rope skip                       0 1 1 1 1 1 2 3 2  down      2 no  high  up     room      none   -
Shadow rope skip                0 0 0 0 0 0 1 2 1  down      1 no  low   up     spot      none   -
Line hop                        0 0 0 0 1 1 2 3 2  down      2 no  high  up     spot      none   -
Broad jump                      0 1 0 0 2 3 3 3 3  shoulder  3 no  high  up     room      none   -
Step hop                        0 1 0 0 2 2 3 3 3  down      3 no  high  up     spot      none   -
Boxing on the spot              0 2 1 0 1 1 0 1 1  shoulder  1 no  none  up     spot      none   -
Stair climb                     0 0 0 0 0 2 2 2 1  down      2 yes low   up     stairs    none   -
Brisk walk                      0 0 0 0 0 1 1 1 0  down      1 no  none  up     outdoors  none   -
Easy walk                       0 0 0 0 0 1 0 1 0  down      0 -   none  up     outdoors  none   -
Run                             0 0 0 0 1 2 2 3 2  down      2 no  high  up     outdoors  none   -
Hill walk                       0 0 0 0 1 2 2 2 1  down      1 no  none  up     outdoors  none   -
Hill run                        0 0 0 0 1 2 2 3 2  down      2 no  high  up     outdoors  none   -
Curl and press                  1 3 2 1 2 0 0 0 2  overhead  0 -   none  up     spot      short  0.4
Squat and press                 1 3 2 1 2 2 3 1 2  overhead  0 -   none  up     spot      short  0.45
Backpack squat and press        1 3 2 1 2 2 3 1 2  overhead  0 -   none  up     spot      short  0.7
Band squat and press            1 3 2 1 1 2 2 1 2  overhead  0 -   none  up     spot      short  -
Squat with curl and press       1 3 2 1 2 2 3 1 2  overhead  0 -   none  up     spot      short  0.4
Lunge and curl                  0 1 2 1 1 2 3 2 2  down      2 no  none  up     spot      short  0.4
Deadlift and row                1 1 1 1 3 2 1 1 2  down      0 -   none  up     spot      short  0.6
Step-up and press               1 3 2 1 2 2 3 1 2  overhead  2 no  none  up     spot      short  0.4
Clean and press                 1 3 2 1 3 2 1 1 2  overhead  0 -   low   up     spot      short  0.6
Bridge and press                0 2 2 1 1 1 1 0 2  shoulder  0 -   none  floor  spot      short  0.5
Get-up to sitting               1 3 1 2 2 1 1 0 3  overhead  0 -   none  floor  spot      long   0.4
Shoulder rolls                  0 1 0 0 0 0 0 0 0  down      0 -   none  up     spot      none   -
Arm circles                     0 1 0 0 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Seated arm circles              0 1 0 0 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Seated hip turn                 0 0 0 0 0 1 0 0 0  down      0 -   none  up     spot      short  -
Hip circles                     0 0 0 0 0 1 0 1 0  down      2 yes none  up     spot      short  -
Leg swing                       0 0 0 0 1 1 0 1 0  down      2 yes none  up     spot      long   -
Ankle circles                   0 0 0 0 0 0 0 1 0  down      0 -   none  up     spot      none   -
Cat and camel                   1 1 1 2 1 1 2 0 0  shoulder  0 -   none  floor  spot      short  -
Seated cat and camel            1 0 0 0 1 0 0 0 0  down      0 -   none  up     spot      none   -
Open book                       1 1 0 0 1 0 0 0 0  shoulder  0 -   none  floor  spot      long   -
Thread the needle               1 2 1 2 1 1 2 0 0  shoulder  0 -   none  floor  spot      short  -
Squat to reach                  1 2 0 0 1 2 2 1 1  overhead  0 -   none  up     spot      none   -
Lunge with turn                 0 1 0 0 1 2 2 1 1  shoulder  2 yes none  up     spot      none   -
Roll the calves                 0 1 1 2 0 0 0 0 0  down      0 -   none  floor  spot      none   -
Roll the upper back             1 1 0 0 1 1 1 0 1  shoulder  0 -   none  floor  spot      none   -
Seated shoulder rolls           0 1 0 0 0 0 0 0 0  down      0 -   none  up     spot      none   -
Seated curl and press           1 3 2 1 1 0 0 0 1  overhead  0 -   none  up     spot      short  0.4
Seated march with curl          0 1 2 1 0 1 0 0 1  down      0 -   none  up     spot      short  0.35
Seated march with palm press    0 1 1 1 0 1 0 0 1  shoulder  0 -   none  up     spot      short  -
Squat and curl                  0 1 2 1 2 2 3 1 2  down      0 -   none  up     spot      short  0.45
Half squat with palm press      0 1 1 1 0 1 1 1 1  shoulder  0 -   none  up     spot      none   -
Seated boxing                   0 1 1 0 0 0 0 0 1  shoulder  0 -   none  up     spot      none   -
Seated fast feet                0 0 0 0 0 1 0 1 0  down      0 -   none  up     spot      short  -
`;
