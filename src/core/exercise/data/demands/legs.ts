/** Demands of the exercises in `../legs.ts`; columns and scale as `read.ts` explains them. */
export const LEG_DEMANDS = `
Sit to chair                    0 0 0 0 1 2 2 1 1  down      0 -   none  up     spot      none   -
Half squat                      0 0 0 0 0 1 1 1 0  down      0 -   none  up     spot      none   -
Squat                           0 0 0 0 1 2 2 1 1  down      0 -   none  up     spot      none   -
Slow squat                      0 0 0 0 1 2 2 1 1  down      0 -   none  up     spot      none   -
Goblet squat                    0 1 1 1 2 2 3 1 2  down      0 -   none  up     spot      none   1
Backpack squat                  0 1 1 0 2 2 3 1 2  down      0 -   none  up     spot      none   1
Band squat                      0 1 1 1 1 2 2 1 1  shoulder  0 -   none  up     spot      none   -
Front squat                     0 1 1 1 2 2 3 1 2  shoulder  0 -   none  up     spot      none   0.6
Wide squat                      0 0 0 0 1 2 2 1 1  down      0 -   none  up     spot      none   -
Wide goblet squat               0 1 1 1 2 2 3 1 2  down      0 -   none  up     spot      none   1
Squat with band at the knees    0 0 0 0 1 2 2 1 1  down      0 -   none  up     spot      none   -
Pulse squat                     0 0 0 0 1 2 2 1 1  down      0 -   none  up     spot      none   -
Wall sit                        0 0 0 0 0 1 2 1 1  down      0 -   none  up     spot      none   -
Single-leg wall sit             0 0 0 0 1 2 3 1 2  down      1 yes none  up     spot      none   -
Single-leg sit to chair         0 0 0 0 1 2 3 2 1  down      2 yes none  up     spot      none   -
Seated knee extension           0 0 0 0 0 1 1 0 0  down      0 -   none  up     spot      long   -
Jump squat                      0 0 0 0 2 2 3 3 3  down      3 no  high  up     spot      none   -
Supported split squat           0 0 0 0 1 2 2 1 1  down      1 yes none  up     spot      none   -
Split squat                     0 0 0 0 1 2 2 1 1  down      1 yes none  up     spot      none   -
Dumbbell split squat            0 1 0 1 1 2 3 1 2  down      1 no  none  up     spot      none   0.5
Rear foot raised split squat    0 0 0 0 1 3 3 2 1  down      2 yes none  up     spot      none   -
Reverse lunge                   0 0 0 0 1 2 2 1 1  down      2 yes none  up     spot      none   -
Dumbbell reverse lunge          0 1 0 1 1 2 3 2 2  down      2 no  none  up     spot      none   0.5
Backpack reverse lunge          0 1 0 0 2 2 3 2 2  down      2 yes none  up     spot      none   0.7
Forward lunge                   0 0 0 0 1 2 3 2 1  down      2 yes none  up     spot      none   -
Walking lunge                   0 0 0 0 1 2 3 2 1  down      2 no  none  up     room      none   -
Side lunge                      0 0 0 0 1 2 2 1 1  down      2 yes none  up     spot      none   -
Dumbbell side lunge             0 1 1 1 2 3 3 2 2  down      2 no  none  up     spot      none   0.7
Curtsy lunge                    0 0 0 0 1 3 3 2 1  down      2 yes none  up     spot      none   -
Jump lunge                      0 0 0 0 2 3 3 3 3  down      3 no  high  up     spot      none   -
Low step-up                     0 0 0 0 0 1 1 1 0  down      1 yes none  up     spot      none   -
Step-up                         0 0 0 0 1 2 2 1 1  down      2 yes none  up     spot      none   -
Dumbbell step-up                0 1 0 1 1 2 3 1 2  down      2 no  none  up     spot      none   0.5
Backpack step-up                0 1 0 0 1 2 3 1 2  down      2 yes none  up     spot      none   0.7
Step-down                       0 0 0 0 0 1 2 2 1  down      2 yes none  up     spot      none   -
Lateral step-up                 0 0 0 0 1 2 2 2 1  down      2 yes none  up     spot      none   -
Calf raise                      0 0 0 0 0 0 0 2 0  down      0 -   none  up     spot      none   -
Calf raise on a step            0 0 0 0 0 0 0 2 0  down      1 yes none  up     spot      none   -
Single-leg calf raise           0 0 0 0 0 1 1 3 0  down      2 yes none  up     spot      none   -
Loaded calf raise               0 0 0 1 1 0 0 2 1  down      0 -   none  up     spot      none   1
Seated calf raise               0 0 0 0 0 0 0 1 0  down      0 -   none  up     spot      none   -
Loaded seated calf raise        0 0 0 0 0 0 0 1 0  down      0 -   none  up     spot      none   1
Seated toe raise                0 0 0 0 0 0 0 1 0  down      0 -   none  up     spot      none   -
Toe raise                       0 0 0 0 0 0 0 1 0  down      0 -   none  up     spot      none   -
Standing leg raise to the side  0 0 0 0 1 1 0 1 0  down      2 yes none  up     spot      long   -
Seated band press-out           0 0 0 0 0 1 0 0 0  down      0 -   none  up     spot      short  -
Seated knee squeeze             0 0 0 0 0 1 0 0 1  down      0 -   none  up     spot      short  -
Band side step                  0 0 0 0 1 2 1 1 1  down      1 no  none  up     room      none   -
Side-lying leg raise            0 0 0 0 0 1 0 0 1  down      0 -   none  floor  spot      long   -
Clamshell                       0 0 0 0 0 1 0 0 0  down      0 -   none  floor  spot      short  -
Band clamshell                  0 0 0 0 0 1 0 0 0  down      0 -   none  floor  spot      short  -
Side-lying inner thigh raise    0 0 0 0 0 1 0 0 0  down      0 -   none  floor  spot      long   -
Wall hinge                      0 0 0 0 1 1 0 0 0  down      0 -   none  up     spot      none   -
Hip hinge                       0 0 0 0 1 1 0 0 1  down      0 -   none  up     spot      none   -
Hip hinge with broomstick       0 1 0 0 1 1 0 0 1  overhead  0 -   none  up     spot      none   -
Romanian deadlift               0 1 0 1 3 2 1 1 2  down      0 -   none  up     spot      none   0.8
Band deadlift                   0 1 0 1 2 2 1 1 1  down      0 -   none  up     spot      none   -
Backpack deadlift               0 1 0 1 3 2 1 1 2  down      0 -   none  up     spot      none   1.3
Suitcase deadlift               0 1 0 1 3 2 2 1 2  down      0 -   none  up     spot      none   1.1
Staggered deadlift              0 1 0 1 3 2 1 1 2  down      1 no  none  up     spot      none   0.6
Single-leg hinge                0 0 0 0 1 2 1 2 1  down      3 yes none  up     spot      long   -
Single-leg deadlift             0 1 0 1 3 3 1 2 2  down      3 yes none  up     spot      long   0.7
Good morning                    1 1 0 0 3 2 1 1 2  shoulder  0 -   none  up     spot      none   -
Swing                           0 2 0 1 3 2 1 1 2  shoulder  0 -   low   up     spot      long   1
Backpack swing                  0 2 0 1 3 2 1 1 2  shoulder  0 -   low   up     spot      long   0.9
Swing to shoulder               0 2 1 1 3 2 1 1 2  shoulder  0 -   low   up     spot      none   0.7
Pull-through                    0 0 0 1 2 2 1 1 1  down      0 -   none  up     spot      none   -
Glute bridge                    0 0 0 0 1 1 1 0 1  down      0 -   none  floor  spot      short  -
Glute bridge march              0 0 0 0 1 1 1 0 2  down      0 -   none  floor  spot      short  -
Loaded glute bridge             0 0 0 0 1 1 1 0 2  down      0 -   none  floor  spot      short  1.2
Band glute bridge               0 0 0 0 1 1 1 0 1  down      0 -   none  floor  spot      short  -
Single-leg bridge               0 0 0 0 1 2 1 0 2  down      0 -   none  floor  spot      long   -
Hip thrust                      1 0 0 0 1 2 1 0 1  down      0 -   none  floor  spot      short  -
Loaded hip thrust               1 0 0 0 2 2 1 0 2  down      0 -   none  floor  spot      short  1.3
Seated heel dig                 0 0 0 0 0 1 1 0 0  down      0 -   none  up     spot      short  -
Towel leg curl                  0 0 0 0 1 1 2 0 2  down      0 -   none  floor  spot      short  -
Kneeling lean back              0 0 0 0 1 1 3 1 2  down      0 -   none  floor  spot      short  -
Donkey kick                     0 1 1 3 1 1 2 0 1  shoulder  0 -   none  floor  spot      short  -
Short split squat               0 0 0 0 0 1 1 1 0  down      1 yes none  up     spot      none   -
Standing kick back              0 0 0 0 1 1 0 1 0  down      2 yes none  up     spot      long   -
Chair hinge                     0 0 0 0 1 1 0 0 0  down      0 -   none  up     spot      none   -
Seated band leg press           0 1 1 1 0 1 1 0 0  down      0 -   none  up     spot      none   -
Seated hinge                    0 0 0 0 1 1 0 0 0  down      0 -   none  up     spot      none   -
Loaded seated hinge             0 1 1 1 2 1 0 0 1  down      0 -   none  up     spot      none   0.5
Seated knee press-out           0 0 0 0 0 1 0 0 0  down      0 -   none  up     spot      short  -
`;
