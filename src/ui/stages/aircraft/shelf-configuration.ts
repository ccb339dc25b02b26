import type { Configuration } from "@/core/aircraft/configuration";
import type { ShelfItem } from "@/core/glide/drag-shelf";

type Shelved = Pick<ShelfItem, "alone" | "group">;

/** Whether an item of the shelf is out in a configuration. */
export function isOut({ alone, group }: Shelved, configuration: Configuration): boolean {
  switch (group) {
    case "propeller":
      return configuration.propeller === alone.propeller;
    case "flap":
      return configuration.flap === alone.flap;
    case "gear":
      return configuration.gearDown;
    case "slip":
      return configuration.slip >= 1;
    case "item":
      return alone.items.every((item) => configuration.items.includes(item));
  }
}

/** The configuration with an item put out or taken in; what excludes it goes in. */
export function toggled({ alone, group }: Shelved, configuration: Configuration, clean: Configuration): Configuration {
  const { propeller, flap, gearDown, slip } = isOut({ alone, group }, configuration) ? clean : alone;
  switch (group) {
    case "propeller":
      return { ...configuration, propeller };
    case "flap":
      return { ...configuration, flap };
    case "gear":
      return { ...configuration, gearDown };
    case "slip":
      return { ...configuration, slip };
    case "item": {
      const others = configuration.items.filter((item) => !alone.items.includes(item));
      return { ...configuration, items: isOut({ alone, group }, configuration) ? others : [...others, ...alone.items] };
    }
  }
}
