import type { Configuration } from "@/core/aircraft/configuration";
import type { ShelfItem } from "@/core/glide/drag-shelf";

/** Whether an item of the shelf is out in a configuration. */
export function isOut({ id, group }: Pick<ShelfItem, "id" | "group">, configuration: Configuration): boolean {
  switch (group) {
    case "propeller":
      return id === `propeller-${configuration.propeller}`;
    case "flap":
      return id === `flap-${configuration.flap}`;
    case "gear":
      return configuration.gearDown;
    case "slip":
      return configuration.slip >= 1;
    case "item":
      return configuration.items.includes(id.slice("item-".length));
  }
}

/** The configuration with an item put out or taken in; what excludes it goes in. */
export function toggled(
  { id, group }: Pick<ShelfItem, "id" | "group">,
  configuration: Configuration,
  clean: Configuration,
): Configuration {
  const out = isOut({ id, group }, configuration);
  switch (group) {
    case "propeller":
      return {
        ...configuration,
        propeller: out ? clean.propeller : (id.slice("propeller-".length) as Configuration["propeller"]),
      };
    case "flap":
      return { ...configuration, flap: out ? 0 : Number(id.slice("flap-".length)) };
    case "gear":
      return { ...configuration, gearDown: !out };
    case "slip":
      return { ...configuration, slip: out ? 0 : 1 };
    case "item":
      return {
        ...configuration,
        items: out
          ? configuration.items.filter((item) => `item-${item}` !== id)
          : [...configuration.items, id.slice("item-".length)],
      };
  }
}
