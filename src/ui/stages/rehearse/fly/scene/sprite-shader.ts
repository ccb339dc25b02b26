// Trees, smoke and clouds: drawn once on paper, upright in the world whatever the bank.

/** Turned towards whoever looks. */
export const SPRITE_VERTEX = /* glsl */ `attribute vec3 at; attribute vec3 size; varying vec2 vU; varying float vDist; varying float vA; uniform vec3 uRight;
void main(){ vU=uv;
vec3 w=at+uRight*position.x*size.x+vec3(0.,1.,0.)*(position.y)*size.y;
vA=size.z;
vDist=length(w-cameraPosition);
gl_Position=projectionMatrix*viewMatrix*vec4(w,1.);
}
`;

/** Ink and fill of the drawing, paler the farther it is. */
export const SPRITE_FRAGMENT = /* glsl */ `precision highp float;
varying vec2 vU;
varying float vDist;
varying float vA;
uniform sampler2D uMap;
uniform vec3 uInk,uFill,uFar;
uniform float uFade,uKeep;
void main(){ vec4 t=texture2D(uMap,vU);
if(t.a<.04) discard;
float f=1.-exp(-vDist/uFade);
vec3 c=mix(uFill,uInk,t.r);
c=mix(c,uFar,f*.8);
gl_FragColor=vec4(c,t.a*vA*mix(1.,uKeep,f));
}
`;
