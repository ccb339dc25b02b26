// The part of the package's interface that is used; it ships no types.
declare module "geographiclib-geodesic" {
  interface GeodesicLine {
    lat2?: number;
    lon2?: number;
    s12?: number;
    azi1?: number;
    azi2?: number;
  }
  interface Geodesic {
    Inverse(lat1: number, lon1: number, lat2: number, lon2: number): GeodesicLine;
    Direct(lat1: number, lon1: number, azi1: number, s12: number): GeodesicLine;
  }
  const geographiclib: { Geodesic: { WGS84: Geodesic } };
  export default geographiclib;
}
