// The part of the package's interface that is used; it ships no types.
declare module "geomagnetism" {
  interface Model {
    readonly name: string;
    readonly epoch: number;
    point(place: readonly [latitude_deg: number, longitude_deg: number]): { readonly decl: number };
  }
  const geomagnetism: { model(day: Date, options?: { allowOutOfBoundsModel?: boolean }): Model };
  export default geomagnetism;
}
