import { workedByHand, type Row } from "../../testing/workedByHand";

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

describe("traced, worked by hand", () => workedByHand("traced", TRACED));
