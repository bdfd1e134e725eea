import { landmarkOf } from "../pattern";
import { deriveShape } from "../derive";
import type { Job } from "../files";
import { palazzoJob, shapeOf } from "../testing/jobs";

/**
 * Six bodies worked by hand for each school: every sum is written out beside its result, in millimetres, as a cutter
 * would do it on paper. The engine must agree to a tenth.
 */

type Row = readonly [what: string, expected: number];

const BODIES: Readonly<Record<string, Job["body"]["measures"]>> = {
  Hand: {
    waist: 760,
    hip: 1040,
    thigh: 600,
    knee: 390,
    waistToHip: 210,
    crotchDepth: 280,
    waistToKnee: 600,
    waistToFloor: 1050,
  },
  Child: {
    waist: 560,
    hip: 640,
    thigh: 370,
    knee: 260,
    waistToHip: 125,
    crotchDepth: 195,
    waistToKnee: 390,
    waistToFloor: 700,
  },
  Tall: {
    waist: 820,
    hip: 1000,
    thigh: 570,
    knee: 400,
    waistToHip: 240,
    crotchDepth: 310,
    waistToKnee: 690,
    waistToFloor: 1220,
  },
  Full: {
    waist: 1180,
    hip: 1320,
    thigh: 780,
    knee: 480,
    waistToHip: 225,
    crotchDepth: 345,
    waistToKnee: 610,
    waistToFloor: 1060,
  },
  Slight: {
    waist: 620,
    hip: 880,
    thigh: 500,
    knee: 330,
    waistToHip: 190,
    crotchDepth: 250,
    waistToKnee: 570,
    waistToFloor: 990,
  },
  Round: {
    waist: 1240,
    hip: 1120,
    thigh: 640,
    knee: 430,
    waistToHip: 200,
    crotchDepth: 300,
    waistToKnee: 580,
    waistToFloor: 1020,
  },
};

const PROPORTIONAL: Readonly<Record<string, readonly Row[]>> = {
  Hand: [
    ["crotchDepth", 280], // from the card
    ["frontWidth", 260], // 1040 / 4 + 0
    ["backWidth", 285], // 1040 / 4 + 25
    ["frontExtension", 52], // 1040 / 20
    ["backExtension", 104], // 1040 / 10
    ["backExtensionMore", 52], // 104 - 52
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 480], // the larger of 0.80 x 600 and 390 + 60
    ["front hipSide x", -156], // -(260 + 52) / 2
    ["front crotchPoint x", 156], // the crease halves the crotch line
    ["front waistCentre x", 94], // 156 - 52 - 10
    ["back crotchPoint x", -188], // -104 + 20 - 104
    ["back hipSide x", 208.5], // -104 + 20 + 30 x 70 / 280 + 285
    ["back waistCentre x", -49.7143], // -104 + 50 + 30 x 40 / 280
    ["back waistCentre y", -40], // 40 above the waist line
    ["front kneeSide x", -113.75], // -(480 - 25) / 4
    ["back kneeSide x", 126.25], // (480 + 25) / 4
  ],
  Child: [
    ["crotchDepth", 195], // from the card
    ["frontWidth", 160], // 640 / 4 + 0
    ["backWidth", 185], // 640 / 4 + 25
    ["frontExtension", 32], // 640 / 20
    ["backExtension", 64], // 640 / 10
    ["backExtensionMore", 32], // 64 - 32
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 320], // the larger of 0.80 x 370 and 260 + 60
    ["front hipSide x", -96], // -(160 + 32) / 2
    ["front crotchPoint x", 96], // the crease halves the crotch line
    ["front waistCentre x", 54], // 96 - 32 - 10
    ["back crotchPoint x", -108], // -64 + 20 - 64
    ["back hipSide x", 151.7692], // -64 + 20 + 30 x 70 / 195 + 185
    ["back waistCentre x", -7.8462], // -64 + 50 + 30 x 40 / 195
    ["back waistCentre y", -40], // 40 above the waist line
    ["front kneeSide x", -73.75], // -(320 - 25) / 4
    ["back kneeSide x", 86.25], // (320 + 25) / 4
  ],
  Tall: [
    ["crotchDepth", 310], // from the card
    ["frontWidth", 250], // 1000 / 4 + 0
    ["backWidth", 275], // 1000 / 4 + 25
    ["frontExtension", 50], // 1000 / 20
    ["backExtension", 100], // 1000 / 10
    ["backExtensionMore", 50], // 100 - 50
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 460], // the larger of 0.80 x 570 and 400 + 60
    ["front hipSide x", -150], // -(250 + 50) / 2
    ["front crotchPoint x", 150], // the crease halves the crotch line
    ["front waistCentre x", 90], // 150 - 50 - 10
    ["back crotchPoint x", -180], // -100 + 20 - 100
    ["back hipSide x", 201.7742], // -100 + 20 + 30 x 70 / 310 + 275
    ["back waistCentre x", -46.129], // -100 + 50 + 30 x 40 / 310
    ["back waistCentre y", -40], // 40 above the waist line
    ["front kneeSide x", -108.75], // -(460 - 25) / 4
    ["back kneeSide x", 121.25], // (460 + 25) / 4
  ],
  Full: [
    ["crotchDepth", 345], // from the card
    ["frontWidth", 330], // 1320 / 4 + 0
    ["backWidth", 355], // 1320 / 4 + 25
    ["frontExtension", 66], // 1320 / 20
    ["backExtension", 132], // 1320 / 10
    ["backExtensionMore", 66], // 132 - 66
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 624], // the larger of 0.80 x 780 and 480 + 60
    ["front hipSide x", -198], // -(330 + 66) / 2
    ["front crotchPoint x", 198], // the crease halves the crotch line
    ["front waistCentre x", 122], // 198 - 66 - 10
    ["back crotchPoint x", -244], // -132 + 20 - 132
    ["back hipSide x", 253.4348], // -132 + 20 + 30 x 120 / 345 + 355
    ["back waistCentre x", -78.5217], // -132 + 50 + 30 x 40 / 345
    ["back waistCentre y", -40], // 40 above the waist line
    ["front kneeSide x", -149.75], // -(624 - 25) / 4
    ["back kneeSide x", 162.25], // (624 + 25) / 4
  ],
  Slight: [
    ["crotchDepth", 250], // from the card
    ["frontWidth", 220], // 880 / 4 + 0
    ["backWidth", 245], // 880 / 4 + 25
    ["frontExtension", 44], // 880 / 20
    ["backExtension", 88], // 880 / 10
    ["backExtensionMore", 44], // 88 - 44
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 400], // the larger of 0.80 x 500 and 330 + 60
    ["front hipSide x", -132], // -(220 + 44) / 2
    ["front crotchPoint x", 132], // the crease halves the crotch line
    ["front waistCentre x", 78], // 132 - 44 - 10
    ["back crotchPoint x", -156], // -88 + 20 - 88
    ["back hipSide x", 184.2], // -88 + 20 + 30 x 60 / 250 + 245
    ["back waistCentre x", -33.2], // -88 + 50 + 30 x 40 / 250
    ["back waistCentre y", -40], // 40 above the waist line
    ["front kneeSide x", -93.75], // -(400 - 25) / 4
    ["back kneeSide x", 106.25], // (400 + 25) / 4
  ],
  Round: [
    ["crotchDepth", 300], // from the card
    ["frontWidth", 280], // 1120 / 4 + 0
    ["backWidth", 305], // 1120 / 4 + 25
    ["frontExtension", 56], // 1120 / 20
    ["backExtension", 112], // 1120 / 10
    ["backExtensionMore", 56], // 112 - 56
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 512], // the larger of 0.80 x 640 and 430 + 60
    ["front hipSide x", -168], // -(280 + 56) / 2
    ["front crotchPoint x", 168], // the crease halves the crotch line
    ["front waistCentre x", 102], // 168 - 56 - 10
    ["back crotchPoint x", -204], // -112 + 20 - 112
    ["back hipSide x", 223], // -112 + 20 + 30 x 100 / 300 + 305
    ["back waistCentre x", -58], // -112 + 50 + 30 x 40 / 300
    ["back waistCentre y", -40], // 40 above the waist line
    ["front kneeSide x", -121.75], // -(512 - 25) / 4
    ["back kneeSide x", 134.25], // (512 + 25) / 4
  ],
};

const TRACED: Readonly<Record<string, readonly Row[]>> = {
  Hand: [
    ["crotchDepth", 280], // from the card
    ["frontWidth", 272], // 1040 / 4 + 12
    ["backWidth", 317], // 272 traced + 45 out
    ["frontExtension", 65], // 1040 / 16
    ["backExtension", 140], // 65 + 75
    ["backExtensionMore", 75], // 140 - 65
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 480], // the larger of 0.80 x 600 and 390 + 60
    ["front hipSide x", -168.5], // -(272 + 65) / 2
    ["front crotchPoint x", 168.5], // the crease halves the crotch line
    ["backCrease", 20], // half of 40 at the inseam
    ["back crotchPoint x", -268.5], // -103.5 - 45 - 140, and 20 for the back's own crease
    ["back hipSide x", 188.5], // 168.5 as traced, and 20 for the crease
    ["back waistCentre y", -32], // 40 above the traced centre, which dropped 8
    ["front kneeSide x", -110], // -(480 - 40) / 4
    ["back kneeSide x", 130], // (480 + 40) / 4
  ],
  Child: [
    ["crotchDepth", 195], // from the card
    ["frontWidth", 172], // 640 / 4 + 12
    ["backWidth", 217], // 172 traced + 45 out
    ["frontExtension", 40], // 640 / 16
    ["backExtension", 115], // 40 + 75
    ["backExtensionMore", 75], // 115 - 40
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 320], // the larger of 0.80 x 370 and 260 + 60
    ["front hipSide x", -106], // -(172 + 40) / 2
    ["front crotchPoint x", 106], // the crease halves the crotch line
    ["backCrease", 20], // half of 40 at the inseam
    ["back crotchPoint x", -206], // -66 - 45 - 115, and 20 for the back's own crease
    ["back hipSide x", 126], // 106 as traced, and 20 for the crease
    ["back waistCentre y", -32], // 40 above the traced centre, which dropped 8
    ["front kneeSide x", -70], // -(320 - 40) / 4
    ["back kneeSide x", 90], // (320 + 40) / 4
  ],
  Tall: [
    ["crotchDepth", 310], // from the card
    ["frontWidth", 262], // 1000 / 4 + 12
    ["backWidth", 307], // 262 traced + 45 out
    ["frontExtension", 62.5], // 1000 / 16
    ["backExtension", 137.5], // 62.5 + 75
    ["backExtensionMore", 75], // 137.5 - 62.5
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 460], // the larger of 0.80 x 570 and 400 + 60
    ["front hipSide x", -162.25], // -(262 + 62.5) / 2
    ["front crotchPoint x", 162.25], // the crease halves the crotch line
    ["backCrease", 20], // half of 40 at the inseam
    ["back crotchPoint x", -262.25], // -99.75 - 45 - 137.5, and 20 for the back's own crease
    ["back hipSide x", 182.25], // 162.25 as traced, and 20 for the crease
    ["back waistCentre y", -32], // 40 above the traced centre, which dropped 8
    ["front kneeSide x", -105], // -(460 - 40) / 4
    ["back kneeSide x", 125], // (460 + 40) / 4
  ],
  Full: [
    ["crotchDepth", 345], // from the card
    ["frontWidth", 342], // 1320 / 4 + 12
    ["backWidth", 387], // 342 traced + 45 out
    ["frontExtension", 82.5], // 1320 / 16
    ["backExtension", 157.5], // 82.5 + 75
    ["backExtensionMore", 75], // 157.5 - 82.5
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 624], // the larger of 0.80 x 780 and 480 + 60
    ["front hipSide x", -212.25], // -(342 + 82.5) / 2
    ["front crotchPoint x", 212.25], // the crease halves the crotch line
    ["backCrease", 20], // half of 40 at the inseam
    ["back crotchPoint x", -312.25], // -129.75 - 45 - 157.5, and 20 for the back's own crease
    ["back hipSide x", 232.25], // 212.25 as traced, and 20 for the crease
    ["back waistCentre y", -32], // 40 above the traced centre, which dropped 8
    ["front kneeSide x", -146], // -(624 - 40) / 4
    ["back kneeSide x", 166], // (624 + 40) / 4
  ],
  Slight: [
    ["crotchDepth", 250], // from the card
    ["frontWidth", 232], // 880 / 4 + 12
    ["backWidth", 277], // 232 traced + 45 out
    ["frontExtension", 55], // 880 / 16
    ["backExtension", 130], // 55 + 75
    ["backExtensionMore", 75], // 130 - 55
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 400], // the larger of 0.80 x 500 and 330 + 60
    ["front hipSide x", -143.5], // -(232 + 55) / 2
    ["front crotchPoint x", 143.5], // the crease halves the crotch line
    ["backCrease", 20], // half of 40 at the inseam
    ["back crotchPoint x", -243.5], // -88.5 - 45 - 130, and 20 for the back's own crease
    ["back hipSide x", 163.5], // 143.5 as traced, and 20 for the crease
    ["back waistCentre y", -32], // 40 above the traced centre, which dropped 8
    ["front kneeSide x", -90], // -(400 - 40) / 4
    ["back kneeSide x", 110], // (400 + 40) / 4
  ],
  Round: [
    ["crotchDepth", 300], // from the card
    ["frontWidth", 292], // 1120 / 4 + 12
    ["backWidth", 337], // 292 traced + 45 out
    ["frontExtension", 70], // 1120 / 16
    ["backExtension", 145], // 70 + 75
    ["backExtensionMore", 75], // 145 - 70
    ["backRise", 40], // as the school has it
    ["blockLegGirth", 512], // the larger of 0.80 x 640 and 430 + 60
    ["front hipSide x", -181], // -(292 + 70) / 2
    ["front crotchPoint x", 181], // the crease halves the crotch line
    ["backCrease", 20], // half of 40 at the inseam
    ["back crotchPoint x", -281], // -111 - 45 - 145, and 20 for the back's own crease
    ["back hipSide x", 201], // 181 as traced, and 20 for the crease
    ["back waistCentre y", -32], // 40 above the traced centre, which dropped 8
    ["front kneeSide x", -118], // -(512 - 40) / 4
    ["back kneeSide x", 138], // (512 + 40) / 4
  ],
};

const HINGED: Readonly<Record<string, readonly Row[]>> = {
  Hand: [
    ["crotchDepth", 280], // from the card
    ["frontWidth", 260], // 1040 / 4
    ["backWidth", 260], // as traced
    ["frontExtension", 50], // as the school has it
    ["backExtension", 85], // 50 + 35
    ["backExtensionMore", 35], // 85 - 50
    ["blockLegGirth", 480], // the larger of 0.80 x 600 and 390 + 60
    ["front hipSide x", -155], // -(260 + 50) / 2
    ["front waistCentre x", 95], // 155 - 50 - 10
    ["slashLevel", 105], // 210 / 2
    ["back hipSide x", 155], // as traced
    ["front kneeSide x", -120], // -480 / 4
    ["back kneeSide x", 120], // 480 / 4
    ["opening", 50], // as the school has it
    ["backRise", 38.5259], // the waist centre (-95, 8) turned by 2 asin(25 / 237.5) about (137.5, 105)
    ["back waistCentre x", -69.54], // the same turn
  ],
  Child: [
    ["crotchDepth", 195], // from the card
    ["frontWidth", 160], // 640 / 4
    ["backWidth", 160], // as traced
    ["frontExtension", 50], // as the school has it
    ["backExtension", 85], // 50 + 35
    ["backExtensionMore", 35], // 85 - 50
    ["blockLegGirth", 320], // the larger of 0.80 x 370 and 260 + 60
    ["front hipSide x", -105], // -(160 + 50) / 2
    ["front waistCentre x", 45], // 105 - 50 - 10
    ["slashLevel", 62.5], // 125 / 2
    ["back hipSide x", 105], // as traced
    ["front kneeSide x", -80], // -320 / 4
    ["back kneeSide x", 80], // 320 / 4
    ["opening", 50], // as the school has it
    ["backRise", 36.6295], // the waist centre (-45, 8) turned by 2 asin(25 / 150) about (100, 62.5)
    ["back waistCentre x", -19.0319], // the same turn
  ],
  Tall: [
    ["crotchDepth", 310], // from the card
    ["frontWidth", 250], // 1000 / 4
    ["backWidth", 250], // as traced
    ["frontExtension", 50], // as the school has it
    ["backExtension", 85], // 50 + 35
    ["backExtensionMore", 35], // 85 - 50
    ["blockLegGirth", 460], // the larger of 0.80 x 570 and 400 + 60
    ["front hipSide x", -150], // -(250 + 50) / 2
    ["front waistCentre x", 90], // 150 - 50 - 10
    ["slashLevel", 120], // 240 / 2
    ["back hipSide x", 150], // as traced
    ["front kneeSide x", -115], // -460 / 4
    ["back kneeSide x", 115], // 460 / 4
    ["opening", 50], // as the school has it
    ["backRise", 38.2614], // the waist centre (-90, 8) turned by 2 asin(25 / 240) about (145, 120)
    ["back waistCentre x", -61.6938], // the same turn
  ],
  Full: [
    ["crotchDepth", 345], // from the card
    ["frontWidth", 330], // 1320 / 4
    ["backWidth", 330], // as traced
    ["frontExtension", 50], // as the school has it
    ["backExtension", 85], // 50 + 35
    ["backExtensionMore", 35], // 85 - 50
    ["blockLegGirth", 624], // the larger of 0.80 x 780 and 480 + 60
    ["front hipSide x", -190], // -(330 + 50) / 2
    ["front waistCentre x", 130], // 190 - 50 - 10
    ["slashLevel", 112.5], // 225 / 2
    ["back hipSide x", 190], // as traced
    ["front kneeSide x", -156], // -624 / 4
    ["back kneeSide x", 156], // 624 / 4
    ["opening", 50], // as the school has it
    ["backRise", 39.8482], // the waist centre (-130, 8) turned by 2 asin(25 / 325) about (190, 112.5)
    ["back waistCentre x", -110.1837], // the same turn
  ],
  Slight: [
    ["crotchDepth", 250], // from the card
    ["frontWidth", 220], // 880 / 4
    ["backWidth", 220], // as traced
    ["frontExtension", 50], // as the school has it
    ["backExtension", 85], // 50 + 35
    ["backExtensionMore", 35], // 85 - 50
    ["blockLegGirth", 400], // the larger of 0.80 x 500 and 330 + 60
    ["front hipSide x", -135], // -(220 + 50) / 2
    ["front waistCentre x", 75], // 135 - 50 - 10
    ["slashLevel", 95], // 190 / 2
    ["back hipSide x", 135], // as traced
    ["front kneeSide x", -100], // -400 / 4
    ["back kneeSide x", 100], // 400 / 4
    ["opening", 50], // as the school has it
    ["backRise", 37.6489], // the waist centre (-75, 8) turned by 2 asin(25 / 200) about (120, 95)
    ["back waistCentre x", -47.3268], // the same turn
  ],
  Round: [
    ["crotchDepth", 300], // from the card
    ["frontWidth", 280], // 1120 / 4
    ["backWidth", 280], // as traced
    ["frontExtension", 50], // as the school has it
    ["backExtension", 85], // 50 + 35
    ["backExtensionMore", 35], // 85 - 50
    ["blockLegGirth", 512], // the larger of 0.80 x 640 and 430 + 60
    ["front hipSide x", -165], // -(280 + 50) / 2
    ["front waistCentre x", 105], // 165 - 50 - 10
    ["slashLevel", 100], // 200 / 2
    ["back hipSide x", 165], // as traced
    ["front kneeSide x", -128], // -512 / 4
    ["back kneeSide x", 128], // 512 / 4
    ["opening", 50], // as the school has it
    ["backRise", 39.6543], // the waist centre (-105, 8) turned by 2 asin(25 / 295) about (185, 100)
    ["back waistCentre x", -85.2974], // the same turn
  ],
};

const EASED: Readonly<Record<string, readonly Row[]>> = {
  Hand: [
    ["crotchDepth", 300], // 280 + 20
    ["frontWidth", 310], // 1040 / 4 + 50
    ["backWidth", 310], // 1040 / 4 + 50
    ["frontExtension", 110], // 1040 / 8 - 20
    ["backExtension", 150], // 110 + 40
    ["backExtensionMore", 40], // 150 - 110
    ["backRise", 0], // the front again
    ["blockLegGirth", 880], // 310 + 110 + 310 + 150, straight down
    ["waistHipWide", 1240], // 4 x 310
    ["front hipSide x", -210], // -(310 + 110) / 2
    ["front crotchPoint x", 210], // straight down: the crease halves the leg
    ["back hipSide x", 230], // (310 + 150) / 2
    ["back crotchPoint x", -230], // and as far to the inseam
    ["front hemInseam x", 210], // straight down from the crotch point
    ["backCrotchDrop", 3], // both inseams fall straight: the back 3 shorter
  ],
  Child: [
    ["crotchDepth", 215], // 195 + 20
    ["frontWidth", 210], // 640 / 4 + 50
    ["backWidth", 210], // 640 / 4 + 50
    ["frontExtension", 60], // 640 / 8 - 20
    ["backExtension", 100], // 60 + 40
    ["backExtensionMore", 40], // 100 - 60
    ["backRise", 0], // the front again
    ["blockLegGirth", 580], // 210 + 60 + 210 + 100, straight down
    ["waistHipWide", 840], // 4 x 210
    ["front hipSide x", -135], // -(210 + 60) / 2
    ["front crotchPoint x", 135], // straight down: the crease halves the leg
    ["back hipSide x", 155], // (210 + 100) / 2
    ["back crotchPoint x", -155], // and as far to the inseam
    ["front hemInseam x", 135], // straight down from the crotch point
    ["backCrotchDrop", 3], // both inseams fall straight: the back 3 shorter
  ],
  Tall: [
    ["crotchDepth", 330], // 310 + 20
    ["frontWidth", 300], // 1000 / 4 + 50
    ["backWidth", 300], // 1000 / 4 + 50
    ["frontExtension", 105], // 1000 / 8 - 20
    ["backExtension", 145], // 105 + 40
    ["backExtensionMore", 40], // 145 - 105
    ["backRise", 0], // the front again
    ["blockLegGirth", 850], // 300 + 105 + 300 + 145, straight down
    ["waistHipWide", 1200], // 4 x 300
    ["front hipSide x", -202.5], // -(300 + 105) / 2
    ["front crotchPoint x", 202.5], // straight down: the crease halves the leg
    ["back hipSide x", 222.5], // (300 + 145) / 2
    ["back crotchPoint x", -222.5], // and as far to the inseam
    ["front hemInseam x", 202.5], // straight down from the crotch point
    ["backCrotchDrop", 3], // both inseams fall straight: the back 3 shorter
  ],
  Full: [
    ["crotchDepth", 365], // 345 + 20
    ["frontWidth", 380], // 1320 / 4 + 50
    ["backWidth", 380], // 1320 / 4 + 50
    ["frontExtension", 145], // 1320 / 8 - 20
    ["backExtension", 185], // 145 + 40
    ["backExtensionMore", 40], // 185 - 145
    ["backRise", 0], // the front again
    ["blockLegGirth", 1090], // 380 + 145 + 380 + 185, straight down
    ["waistHipWide", 1520], // 4 x 380
    ["front hipSide x", -262.5], // -(380 + 145) / 2
    ["front crotchPoint x", 262.5], // straight down: the crease halves the leg
    ["back hipSide x", 282.5], // (380 + 185) / 2
    ["back crotchPoint x", -282.5], // and as far to the inseam
    ["front hemInseam x", 262.5], // straight down from the crotch point
    ["backCrotchDrop", 3], // both inseams fall straight: the back 3 shorter
  ],
  Slight: [
    ["crotchDepth", 270], // 250 + 20
    ["frontWidth", 270], // 880 / 4 + 50
    ["backWidth", 270], // 880 / 4 + 50
    ["frontExtension", 90], // 880 / 8 - 20
    ["backExtension", 130], // 90 + 40
    ["backExtensionMore", 40], // 130 - 90
    ["backRise", 0], // the front again
    ["blockLegGirth", 760], // 270 + 90 + 270 + 130, straight down
    ["waistHipWide", 1080], // 4 x 270
    ["front hipSide x", -180], // -(270 + 90) / 2
    ["front crotchPoint x", 180], // straight down: the crease halves the leg
    ["back hipSide x", 200], // (270 + 130) / 2
    ["back crotchPoint x", -200], // and as far to the inseam
    ["front hemInseam x", 180], // straight down from the crotch point
    ["backCrotchDrop", 3], // both inseams fall straight: the back 3 shorter
  ],
  Round: [
    ["crotchDepth", 320], // 300 + 20
    ["frontWidth", 330], // 1120 / 4 + 50
    ["backWidth", 330], // 1120 / 4 + 50
    ["frontExtension", 120], // 1120 / 8 - 20
    ["backExtension", 160], // 120 + 40
    ["backExtensionMore", 40], // 160 - 120
    ["backRise", 0], // the front again
    ["blockLegGirth", 940], // 330 + 120 + 330 + 160, straight down
    ["waistHipWide", 1320], // 4 x 330
    ["front hipSide x", -225], // -(330 + 120) / 2
    ["front crotchPoint x", 225], // straight down: the crease halves the leg
    ["back hipSide x", 245], // (330 + 160) / 2
    ["back crotchPoint x", -245], // and as far to the inseam
    ["front hemInseam x", 225], // straight down from the crotch point
    ["backCrotchDrop", 3], // both inseams fall straight: the back 3 shorter
  ],
};

/** A number of the draft by its name, or a landmark's place as "panel landmark axis". */
function found(shape: ReturnType<typeof shapeOf>, what: string): number {
  const [panel, landmark, axis] = what.split(" ");
  if (landmark === undefined) return shape.block.numbers[what]?.mm ?? NaN;
  const at = landmarkOf(shape.block.panels[panel === "front" ? 0 : 1], landmark);
  return at[axis === "x" ? 0 : 1];
}

describe.each([
  ["proportional", PROPORTIONAL],
  ["traced", TRACED],
  ["hinged", HINGED],
  ["eased-metric", EASED],
] as const)("%s, worked by hand", (school, table) => {
  test.each(Object.entries(table))("%s", (name, rows) => {
    const body: Job["body"] = { name, unit: "mm", measures: BODIES[name] ?? {} };
    const shape = shapeOf(palazzoJob(body, { block: { school, rules: {} }, style: { id: "straight", params: {} } }));
    for (const [what, expected] of rows) {
      expect([what, Math.abs(found(shape, what) - expected) < 0.1, found(shape, what).toFixed(2), expected]).toEqual([
        what,
        true,
        found(shape, what).toFixed(2),
        expected,
      ]);
    }
  });
});

test("every school says what it cannot draft by the measure at fault", () => {
  for (const school of ["proportional", "traced", "hinged", "eased-metric"] as const) {
    const measures = { waist: 760, hip: 1040, crotchDepth: 180, waistToHip: 210 };
    const shape = deriveShape(palazzoJob({ name: "", unit: "mm", measures }, { block: { school, rules: {} } }));
    expect(shape).toMatchObject({ ok: false, status: 422, errors: [{ path: "body.measures.crotchDepth" }] });
  }
});
