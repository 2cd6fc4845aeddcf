import { catalogue } from './core/catalogue';
import { composeRig } from './core/rig';
import { orderWalk } from './core/planning';
const u=(id:string,m:string)=>({id,number:id,title:'',plate:'',moduleId:m,specification:{}});
const rig=composeRig({units:[u('214','straight-truck-air'),u('931','tag-trailer-air')],phase:'pre-trip',circumstances:[],catalogue});
console.log(rig.length, rig.instances.length, rig.capabilities);
for(const s of orderWalk(rig)) console.log(s.key, s.zone.x.toFixed(1), s.zone.y, s.instances.length);
