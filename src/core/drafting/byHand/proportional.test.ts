import { workedByHand, type Row } from "../../testing/workedByHand";

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

describe("proportional, worked by hand", () => workedByHand("proportional", PROPORTIONAL));
