// The ground in ink: contours, coast, water-lining, a sea ruled by the wind, hatching on slopes and fields are all
// lines at multiples of a value, held in pixels by the derivatives of the screen. Nothing but a small noise is a
// texture.

/** Hands on place, normal and distance from the coast. */
export const GROUND_VERTEX = /* glsl */ `attribute float coast; varying vec3 vW; varying vec3 vN; varying float vD;
void main(){ vec4 w = modelMatrix*vec4(position,1.); vW=w.xyz; vN=normal; vD=coast; gl_Position=projectionMatrix*viewMatrix*w; }
`;

/** Land and sea as one surface. */
export const GROUND_FRAGMENT = /* glsl */ `precision highp float;
varying vec3 vW; varying vec3 vN; varying float vD;
uniform vec3 uInk,uInk2,uSea,uSeaInk,uStraw,uSage,uFar;
uniform vec3 uLand[6];
uniform vec2 uWind;
uniform float uPx,uShade;
uniform vec4 uRun;
uniform vec2 uRunDir;
float h1(float n){ return fract(sin(n*12.9898)*43758.5453); }
float h2(vec2 p){ return fract(sin(dot(p,vec2(127.1,311.7)))*43758.5453); }
uniform sampler2D uNoise; 
#ifdef LIGHT
float vnoise(vec2 p){ return textureLod(uNoise,(p+.5)/256.,0.).r; }
#else
float vnoise(vec2 p){ vec2 i=floor(p),f=p-i; f=f*f*(3.-2.*f); return textureLod(uNoise,(i+f+.5)/256.,0.).r; }
#endif

float grad(float v){ return max(length(vec2(dFdx(v),dFdy(v))),1e-7); }
// A line wherever v is a multiple of period, px wide; gone where lines would run together.
float every(float v,float g,float period,float px){ float u=v/period;
float a=abs(fract(u-.5)-.5)*period/g;
return (1.-smoothstep(px*.5-.5,px*.5+.5,a))*(1.-smoothstep(.1,.3,g/period));
}
// Ruled tone: spacing stays near gap px from the nose to the horizon; every second line fades as they close up.
float ruled(float v,float g,float base,float gap,float px){
  float L=max(log2(gap*g/base),0.); float fl=floor(L), fr=L-fl; float P=base*exp2(fl);
  float u=v/P; float k=floor(u+.5); float a=abs(u-k)*P/g; float odd=abs(mod(k,2.));
  return (1.-smoothstep(px*.5-.5,px*.5+.5,a))*mix(1.,1.-fr,odd);
}
void main(){
  vec2 p=vec2(vW.x,-vW.z); float h=vW.y; float dist=length(vW-cameraPosition);
  float d=vD, gd=grad(vD);
  float far=1.-exp(-dist/26000.); float inkFar=exp(-dist/15000.);
  float gh=grad(h), gpx=max(grad(p.x),grad(p.y)); float aw=max(gd,.001);
  // derivatives of everything ruled, before any branch
  float along=dot(p,uWind), across=dot(p,vec2(-uWind.y,uWind.x)); float ga=grad(across);
  float wob=vnoise(p/240.);
  float region=floor(p.x/2300.+vnoise(p/1700.)*.8);
  float an=.35+.5*h1(region+2.);
  float ca=cos(an),sa=sin(an);
  vec2 q=vec2(ca*p.x-sa*p.y,sa*p.x+ca*p.y)+14.*vec2(wob-.5,.5-wob);
  vec2 gqv=vec2(length(vec2(dFdx(p.x)*ca-dFdx(p.y)*sa,dFdy(p.x)*ca-dFdy(p.y)*sa)),length(vec2(dFdx(p.x)*sa+dFdx(p.y)*ca,dFdy(p.x)*sa+dFdy(p.y)*ca)));
  vec2 dpx=vec2(dFdx(p.x),dFdx(p.y)), dpy=vec2(dFdy(p.x),dFdy(p.y));
  float hv=dot(p,vec2(.62,.78))+h*1.1; float gv=grad(hv);
  vec3 sea=uSea, land=uLand[0];
  if(d<1.5*aw){
    across+=9.*(vnoise(vec2(along/260.,across/90.))-.5)+30.*(vnoise(p/900.)-.5);
    float bucket=floor(across/14.);
    float dash=smoothstep(.30,.55,vnoise(vec2(along/190.+h1(bucket)*40.,bucket*.73)))*(.35+.65*smoothstep(.3,.75,vnoise(p/vec2(1500.,900.))));
    float streak=ruled(across,ga,14.,8.*uPx,1.1*uPx)*dash;
    sea=mix(uSea,uFar,far*.6); float s=-d;
    sea=mix(sea,mix(uSea,uSeaInk,.2),smoothstep(-260.,0.,d)*.85);
    sea=mix(sea,uSeaInk,streak*.78*(.3+.7*exp(-dist/12000.)));
    if(s<230.){ float k=1./(gd*uPx);
    float wl=(1.-smoothstep(.2,1.2,abs(s-22.)*k))*.75;
    wl+=(1.-smoothstep(.2,1.2,abs(s-52.)*k))*.55;
    wl+=(1.-smoothstep(.2,1.2,abs(s-92.)*k))*.4;
    wl+=(1.-smoothstep(.2,1.2,abs(s-145.)*k))*.26;
    wl+=(1.-smoothstep(.2,1.2,abs(s-215.)*k))*.16;
      sea=mix(sea,uSeaInk,wl*(1.-smoothstep(6.,16.,gd))*inkFar); }
  }
  if(d>-1.5*aw){
    vec3 n=normalize(vN); float slope=sqrt(max(0.,1.-n.y*n.y))/max(n.y,.05);
    float b=h+5.*(vnoise(p/160.)-.5); float w=max(gh*1.2,.4);
    land=mix(land,uLand[1],smoothstep(-w,w,b-30.48));
    land=mix(land,uLand[2],smoothstep(-w,w,b-60.96));
    land=mix(land,uLand[3],smoothstep(-w,w,b-121.9));
    land=mix(land,uLand[4],smoothstep(-w,w,b-243.8));
    land=mix(land,uLand[5],smoothstep(-w,w,b-487.7));
    float lit=dot(n,vec3(-.657,.583,-.477))/.583; float dark=clamp(1.-lit,0.,1.);
    land*=1.-uShade*dark*.75; land+=(.05*clamp(lit-1.,0.,1.)); land*=1.-.06*vnoise(p/95.)-.035*wob;
    // Fields: rows of unequal strips, each with a tone, a direction and a pattern of its own.
    vec2 dR=p-uRun.xy; float al=dot(dR,uRunDir), ac=dot(dR,vec2(-uRunDir.y,uRunDir.x));
    float runD=length(vec2(max(0.,abs(al-uRun.z*.5)-uRun.z*.5-60.),max(0.,abs(ac)-75.)));
    float farm=smoothstep(.36,.42,vnoise(p/2600.+3.3))*(1.-smoothstep(.10,.16,slope))*smoothstep(70.,110.,d)*(1.-smoothstep(130.,170.,h))*smoothstep(4.,7.,runD);
    float vis=farm*(1.-smoothstep(22.,60.,gpx));
    if(vis>.01){
      float row=floor(q.y/170.);
      float fy=q.y-row*170.;
      float Lx=mix(190.,420.,h1(row+region*7.));
      float qx=q.x+h1(row*3.1)*600.;
      float col=floor(qx/Lx);
      float fx=qx-col*Lx;
      float id=h2(vec2(row*1.7+region,col)); float ey=min(fy,170.-fy), ex=min(fx,Lx-fx), eb=min(ey,ex);
      vec3 tint=id<.26?uStraw:(id<.5?uSage:land); land=mix(land,tint*(1.-uShade*dark*.6),vis*(id<.5?.55:0.)*(.8+.4*wob));
      float dir=id*10.7;
      vec2 u=vec2(cos(dir),sin(dir));
      float fl=dot(q,u);
      vec2 up=vec2(ca*u.x+sa*u.y,-sa*u.x+ca*u.y);
      float gf=length(vec2(dot(dpx,up),dot(dpy,up)));
      float kind=fract(id*7.3); float plough=kind<.14?0.:ruled(fl,gf,7.,7.*uPx,.95*uPx);
      if(kind>.6){ float t=dot(q,vec2(-u.y,u.x)); plough*=smoothstep(.25,.4,vnoise(vec2(t/16.+fl*1.7,floor(fl/7.)*.37))); }
      land=mix(land,uInk2,plough*vis*smoothstep(4.,9.,eb)*(.26+.26*fract(id*13.))*exp(-dist/6500.));
      float hedge=max((1.-smoothstep(.3*uPx,1.3*uPx,ey/gqv.y))*(1.-smoothstep(7.,22.,gqv.y)),(1.-smoothstep(.3*uPx,1.3*uPx,ex/gqv.x))*(1.-smoothstep(7.,22.,gqv.x)));
      land=mix(land,uInk,hedge*vis*.66*inkFar);
    }
    // Hatching on slopes: the steeper and the darker, the wider the stroke.
    float tone=smoothstep(.07,.42,dark*1.15+slope*.32);
    if(tone>.02){ float hatch=ruled(hv,gv,9.,7.*uPx,(.35+1.1*tone)*uPx)*(.5+.5*vnoise(p/60.));
    land=mix(land,uInk,hatch*.6*tone*(1.-vis*.6)*exp(-dist/9000.));
    }
    // Contours every 50 ft, firm every 250 ft.
    float c=every(h,gh,15.24,.95*uPx)*.5; float ci=every(h,gh,76.2,1.4*uPx)*.75; float shore=smoothstep(12.,40.,d);
    land=mix(land,uInk,max(c*(1.-vis*.5),ci)*inkFar*shore*.8);
    land=mix(land,uFar,far*.85);
    float beach=(1.-smoothstep(25.,60.,d))*(1.-smoothstep(.05,.16,slope)); land=mix(land,mix(uLand[0],uStraw,.18),beach*.8*(1.-far));
  }
  // --- coast in firm ink ---
  vec3 col3=mix(sea,land,smoothstep(-.5,.5,d/aw));
  float coastInk=1.-smoothstep(.65*uPx,1.65*uPx,abs(d)/aw); col3=mix(col3,uInk,coastInk*(.25+.75*exp(-dist/14000.))*.95*(1.-smoothstep(25.,90.,gd)));
  gl_FragColor=vec4(col3,1.);
}
`;
