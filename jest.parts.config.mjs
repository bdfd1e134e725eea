import { alone } from "./bin/test-files.mjs";
import config from "./jest.config.mjs";

/** All tests: those that run in Node in the bundles of bin/bundle-tests.mjs, the others each on its own. */
const inParts = async () => ({
  ...(await config()),
  testMatch: ["<rootDir>/.tests/*.test.cjs", ...alone.map((file) => `<rootDir>/${file.replace(/[()[\]]/g, "\\$&")}`)],
});

export default inParts;
