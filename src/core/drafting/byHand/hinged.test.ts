import { workedByHand, type Row } from "../../testing/workedByHand";

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

describe("hinged, worked by hand", () => workedByHand("hinged", HINGED));
