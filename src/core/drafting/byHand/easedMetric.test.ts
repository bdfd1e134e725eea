import { workedByHand, type Row } from "../../testing/workedByHand";

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

describe("eased-metric, worked by hand", () => workedByHand("eased-metric", EASED));
