/** Demands of the exercises in `../stretches.ts`; columns and scale as `read.ts` explains them. */
export const STRETCH_DEMANDS = `
Calf stretch                    0 0 0 1 0 0 0 1 0  shoulder  1 yes none  up     spot      none   -
Bent-knee calf stretch          0 0 0 1 0 0 1 1 0  shoulder  1 yes none  up     spot      none   -
Thigh stretch                   0 1 0 0 0 1 2 1 0  down      2 yes none  up     spot      short  -
Seated thigh stretch            0 0 0 0 0 1 1 0 0  down      0 -   none  up     spot      short  -
Side-lying thigh stretch        0 1 0 0 0 1 2 0 0  down      0 -   none  floor  spot      short  -
Hamstring stretch               0 0 0 0 1 1 0 1 0  down      2 yes none  up     spot      long   -
Seated hamstring stretch        0 0 0 0 1 1 0 0 0  down      0 -   none  up     spot      long   -
Lying hamstring stretch         0 1 0 0 0 1 0 0 0  down      0 -   none  floor  spot      long   -
Hip flexor stretch              0 0 0 0 0 1 2 0 0  down      1 yes none  floor  spot      none   -
Standing hip flexor stretch     0 0 0 0 0 1 1 1 0  down      1 yes none  up     spot      none   -
Figure four stretch             0 0 0 0 0 2 1 0 0  down      0 -   none  floor  spot      short  -
Seated figure four              0 0 0 0 0 1 1 0 0  down      0 -   none  up     spot      short  -
Inner thigh stretch             0 0 0 0 1 1 1 0 0  down      0 -   none  floor  spot      short  -
Standing inner thigh stretch    0 0 0 0 0 1 1 1 0  down      1 yes none  up     spot      none   -
Chest stretch                   0 1 0 0 0 0 0 0 0  shoulder  0 -   none  up     spot      short  -
Seated chest stretch            0 1 0 0 0 0 0 0 0  down      0 -   none  up     spot      long   -
Hands behind the back           0 1 0 0 0 0 0 0 0  down      0 -   none  up     spot      long   -
Upper arm stretch               1 2 1 0 0 0 0 0 0  overhead  0 -   none  up     spot      short  -
Cross-body shoulder stretch     0 1 0 0 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Lat stretch                     1 2 0 1 1 1 0 0 0  overhead  0 -   none  up     spot      long   -
Side bend stretch               0 1 0 0 1 0 0 0 0  overhead  0 -   none  up     spot      long   -
Seated side bend                0 1 0 0 1 0 0 0 0  overhead  0 -   none  up     spot      long   -
Seated calf stretch             0 0 0 0 1 1 0 1 0  down      0 -   none  up     spot      long   -
Child rest                      0 1 0 0 1 1 2 1 0  overhead  0 -   none  floor  spot      none   -
Seated fold                     1 0 0 0 1 1 0 0 0  down      0 -   none  up     spot      none   -
Lying twist                     0 0 0 0 1 1 0 0 0  shoulder  0 -   none  floor  spot      none   -
Seated twist                    0 0 0 0 1 0 0 0 0  down      0 -   none  up     spot      none   -
Knees to chest                  0 0 0 0 1 1 1 0 0  down      0 -   none  floor  spot      short  -
Front body stretch              1 1 1 0 2 0 0 0 0  down      0 -   none  floor  spot      none   -
Wrist and forearm stretch       0 0 0 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Neck side stretch               1 0 0 0 0 0 0 0 0  down      0 -   none  up     spot      none   -
Seated inner thigh stretch      0 0 0 0 1 1 0 0 0  down      0 -   none  up     spot      none   -
Seated upper arm stretch        1 2 1 0 0 0 0 0 0  overhead  0 -   none  up     spot      short  -
Seated wrist stretch            0 0 0 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Shin stretch                    0 0 0 1 0 0 2 2 0  down      0 -   none  floor  spot      none   -
`;
