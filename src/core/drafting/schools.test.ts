import { deriveShape } from "../derive/shape";
import { palazzoJob } from "../testing/jobs";

test("every school says what it cannot draft by the measure at fault", () => {
  for (const school of ["proportional", "traced", "hinged", "eased-metric"] as const) {
    const measures = { waist: 760, hip: 1040, crotchDepth: 180, waistToHip: 210 };
    const shape = deriveShape(palazzoJob({ name: "", unit: "mm", measures }, { block: { school, rules: {} } }));
    expect(shape).toMatchObject({ ok: false, status: 422, errors: [{ path: "body.measures.crotchDepth" }] });
  }
});
