/** Demands of the exercises in `../upper.ts`; columns and scale as `read.ts` explains them. */
export const UPPER_DEMANDS = `
Wall push-up                    0 1 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Table push-up                   0 2 1 2 1 0 0 0 1  shoulder  0 -   none  up     spot      long   -
Incline push-up                 0 2 2 2 1 0 0 0 2  shoulder  0 -   none  up     spot      long   -
Knee push-up                    0 2 2 3 1 0 2 0 2  shoulder  0 -   none  floor  spot      short  -
Push-up                         1 2 2 3 1 0 0 1 2  shoulder  0 -   none  floor  spot      long   -
Slow push-up                    1 2 2 3 1 0 0 1 2  shoulder  0 -   none  floor  spot      long   -
Hand-release push-up            1 2 2 3 1 0 0 1 3  shoulder  0 -   none  floor  spot      long   -
Feet-raised push-up             1 3 2 3 2 0 0 1 3  shoulder  0 -   none  floor  spot      long   -
Narrow push-up                  1 2 3 3 1 0 0 1 2  shoulder  0 -   none  floor  spot      long   -
Backpack push-up                1 3 3 3 2 0 0 1 3  shoulder  0 -   none  floor  spot      long   0.5
Floor press                     0 2 2 1 0 0 0 0 1  shoulder  0 -   none  floor  spot      short  0.6
One-arm floor press             0 2 2 1 1 0 0 0 1  shoulder  0 -   none  floor  spot      short  0.6
Band chest press                0 2 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      short  -
Seated band chest press         0 2 1 1 0 0 0 0 1  shoulder  0 -   none  up     spot      short  -
Seated palm press               0 1 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      short  -
Chest fly                       0 3 1 1 0 0 0 0 1  shoulder  0 -   none  floor  spot      long   0.3
Chair dip                       1 3 3 2 1 0 1 0 1  down      0 -   none  up     spot      short  -
Lateral raise                   1 3 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      long   0.25
Seated press                    1 3 2 1 1 0 0 0 1  overhead  0 -   none  up     spot      short  0.45
Band press                      1 3 2 1 1 0 0 0 1  overhead  0 -   none  up     spot      short  -
Overhead press                  1 3 2 1 2 0 0 0 2  overhead  0 -   none  up     spot      short  0.5
One-arm press                   1 3 2 1 2 0 0 0 2  overhead  0 -   none  up     spot      short  0.5
Backpack press                  1 3 2 1 2 0 0 0 2  overhead  0 -   none  up     spot      short  0.7
Push press                      1 3 2 1 2 1 1 1 2  overhead  0 -   low   up     spot      short  0.6
Hips-high push-up               1 3 2 3 1 1 0 1 2  overhead  0 -   none  floor  spot      long   -
Front raise                     1 3 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      long   0.25
Band lateral raise              1 3 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      long   -
Bottle lateral raise            0 2 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   0.25
Seated bottle lateral raise     0 2 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   0.25
Rear raise                      1 2 1 1 2 1 0 0 1  shoulder  0 -   none  up     spot      long   0.2
Face pull                       1 2 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      short  -
Wall slide                      1 2 1 0 0 0 0 0 0  overhead  0 -   none  up     spot      short  -
Band pull-apart                 0 2 0 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Band row                        0 1 1 1 1 0 0 0 1  shoulder  0 -   none  up     spot      short  -
Seated band row                 0 1 1 1 1 0 0 0 0  down      0 -   none  up     spot      short  -
Seated towel row                0 1 1 1 1 1 0 0 0  down      0 -   none  up     spot      short  -
Towel row                       0 1 1 1 1 0 1 1 1  shoulder  0 -   none  up     spot      short  -
Table row                       1 2 2 1 1 1 0 0 2  shoulder  0 -   none  floor  spot      long   -
One-arm row                     0 1 1 1 1 1 0 0 1  down      0 -   none  up     spot      short  0.7
Bent-over row                   1 1 1 1 3 2 1 0 2  down      0 -   none  up     spot      short  0.6
Backpack row                    1 1 1 1 3 2 1 0 2  down      0 -   none  up     spot      short  0.9
Plank row                       1 2 2 3 2 1 0 1 3  shoulder  0 -   none  floor  spot      long   0.4
Upright row                     1 3 2 1 1 0 0 0 1  shoulder  0 -   none  up     spot      short  0.35
Band pull-down                  0 2 1 1 0 0 2 0 1  overhead  0 -   none  floor  spot      short  -
Pullover                        0 3 1 1 1 0 0 0 1  overhead  0 -   none  floor  spot      long   0.5
Dead hang                       0 3 1 1 0 0 0 0 0  overhead  0 -   none  up     spot      long   -
Assisted pull-up                1 3 3 1 1 0 0 0 1  overhead  0 -   none  up     spot      long   -
Slow lowering from the bar      1 3 3 1 1 0 0 1 2  overhead  0 -   none  up     spot      long   -
Pull-up                         1 3 3 1 1 0 0 0 2  overhead  0 -   none  up     spot      long   -
Lying reach and pull            2 1 1 0 2 0 0 0 1  overhead  0 -   none  floor  spot      long   -
Curl                            0 1 2 1 1 0 0 0 1  down      0 -   none  up     spot      short  0.45
Band curl                       0 1 2 1 0 0 0 0 0  down      0 -   none  up     spot      short  -
Hammer curl                     0 1 2 1 1 0 0 0 1  down      0 -   none  up     spot      short  0.45
Backpack curl                   0 1 2 1 1 0 0 0 1  down      0 -   none  up     spot      short  0.8
Towel curl                      0 0 2 1 0 1 0 0 0  down      0 -   none  up     spot      short  -
Triceps press back              0 1 2 1 1 0 0 0 0  down      0 -   none  up     spot      short  0.25
Overhead triceps press          1 3 3 1 1 0 0 0 1  overhead  0 -   none  up     spot      short  0.5
Band triceps press              0 1 2 1 0 0 0 0 1  down      0 -   none  up     spot      short  -
Lying triceps press             0 2 3 1 0 0 0 0 1  shoulder  0 -   none  floor  spot      short  0.25
Bottle press                    0 2 1 1 0 0 0 0 0  overhead  0 -   none  up     spot      short  0.4
Seated bottle press             0 2 1 1 0 0 0 0 0  overhead  0 -   none  up     spot      short  0.4
Seated band press               1 3 2 1 0 0 0 0 1  overhead  0 -   none  up     spot      short  -
Seated squeeze press            0 1 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      short  0.25
Seated lateral raise            1 3 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   0.25
Seated half lateral raise       0 1 0 1 0 0 0 0 0  down      0 -   none  up     spot      long   0.15
Dumbbell pull-apart             0 2 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   0.15
Seated dumbbell pull-apart      0 2 1 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   0.15
Seated band pull-apart          0 2 0 1 0 0 0 0 0  shoulder  0 -   none  up     spot      long   -
Towel pull-apart                0 1 0 1 0 0 0 0 0  down      0 -   none  up     spot      long   -
Seated towel pull-apart         0 1 0 1 0 0 0 0 0  down      0 -   none  up     spot      long   -
Seated shoulder blade squeeze   0 1 1 0 0 0 0 0 0  down      0 -   none  up     spot      short  -
Seated one-arm row              0 1 1 1 1 1 0 0 0  down      0 -   none  up     spot      short  0.5
Seated band pull-down           0 2 1 1 0 0 0 0 0  overhead  0 -   none  up     spot      short  -
Seated towel pull-down          0 2 1 1 0 0 0 0 0  overhead  0 -   none  up     spot      short  -
Standing band pull-down         0 2 1 1 0 0 0 0 1  overhead  0 -   none  up     spot      short  -
Seated curl                     0 1 2 1 0 0 0 0 0  down      0 -   none  up     spot      short  0.45
Seated band curl                0 1 2 1 0 0 0 0 0  down      0 -   none  up     spot      short  -
Bottle curl                     0 0 1 1 0 0 0 0 0  down      0 -   none  up     spot      short  0.4
Seated bottle curl              0 0 1 1 0 0 0 0 0  down      0 -   none  up     spot      short  0.4
Seated triceps press back       0 1 2 1 1 1 0 0 0  down      0 -   none  up     spot      short  0.25
Seated band triceps press       0 1 2 1 0 0 0 0 0  down      0 -   none  up     spot      short  -
Towel triceps press             0 1 1 1 0 0 0 0 0  down      0 -   none  up     spot      short  -
`;
