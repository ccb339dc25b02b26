// Properties run over the same cases each time: what fails in the gate can be run again. `npm run test:random` gives
// other seeds.
import fc from "fast-check";

fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20_260_101) });
