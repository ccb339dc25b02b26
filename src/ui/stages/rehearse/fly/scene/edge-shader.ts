// Ink where the depth bends: horizon, ridges, buildings. The Laplacian of 1/z is nought on any plane.

/** The whole picture. */
export const EDGE_VERTEX = /* glsl */ `
varying vec2 vU;
void main(){ vU=uv; gl_Position=vec4(position.xy,0.,1.); }
`;

/** Far ink is paler. */
export const EDGE_FRAGMENT = /* glsl */ `precision highp float; varying vec2 vU; uniform sampler2D uColor,uDepth; uniform vec2 uTexel; uniform vec3 uInk; uniform float uEdge,uNear,uFarZ;
float iz(vec2 u){ float z=texture2D(uDepth,u).r; float ndc=z*2.-1.; return (uFarZ+uNear-ndc*(uFarZ-uNear))/(2.*uFarZ*uNear); }
void main(){
  vec3 c=texture2D(uColor,vU).rgb; float m=iz(vU); vec2 e=uTexel;
  float l=iz(vU-vec2(e.x,0.)),r=iz(vU+vec2(e.x,0.)),d=iz(vU-vec2(0.,e.y)),u=iz(vU+vec2(0.,e.y));
  float big=max(max(l,r),max(max(d,u),m)); float lap=abs(l+r+u+d-4.*m)/big;
  float z=1./big; float ink=smoothstep(.10,.45,lap)*uEdge*mix(1.,.8,smoothstep(6000.,45000.,z));
  gl_FragColor=vec4(mix(c,uInk,ink),1.);
}
`;
