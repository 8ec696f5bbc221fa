import RAPIER from '@dimforge/rapier3d-compat';
import { Body, ContactMaterial, Material, Plane, SAPBroadphase, Sphere, Vec3, World } from 'cannon-es';
import { HardSpheres } from '@core/physics/hard-spheres';

/** Two general 3D physics libraries on the scene of the hard spheres: a thousand elastic balls in a box, without weight or friction. */

const COUNT = 1000;
const EDGE_NM = 30;
const RADIUS_NM = 0.18;
/** They go by steps: so long that a ball comes a tenth of its width in one, ps. */
const STEP_PS = 0.08;
const RUN_MS = 4000;

interface Scene {
  name: string;
  /** One step. @returns impacts that began in it, of pairs and on walls */
  step(): number;
  /** Energy of all of them, over the mass of one. */
  energy(): number;
}

/** Where they begin, and how: those of the hard spheres, three numbers for each. */
function start(): { at: Float64Array; velocity: Float64Array } {
  const kinds = [{ gPerMol: 39.95, radiusNm: RADIUS_NM, count: COUNT }];
  const gas = new HardSpheres({ box: [EDGE_NM, EDGE_NM, EDGE_NM], kinds, kelvin: 300, seed: 1 });
  const at = new Float64Array(3 * COUNT);
  gas.positions(at);
  return { at, velocity: gas.velocity };
}
const three = (all: Float64Array, i: number): [number, number, number] => [
  all[3 * i] as number,
  all[3 * i + 1] as number,
  all[3 * i + 2] as number,
];
const square = ({ x, y, z }: { x: number; y: number; z: number }) => x * x + y * y + z * z;

async function rapier(): Promise<Scene> {
  await RAPIER.init();
  const world = new RAPIER.World({ x: 0, y: 0, z: 0 });
  world.timestep = STEP_PS;
  world.lengthUnit = 2 * RADIUS_NM;
  const { at, velocity } = start();
  const events = new RAPIER.EventQueue(true);
  const balls = Array.from({ length: COUNT }, (_, i) => {
    const body = world.createRigidBody(
      RAPIER.RigidBodyDesc.dynamic()
        .setTranslation(...three(at, i))
        .setLinvel(...three(velocity, i))
        .setCanSleep(false),
    );
    const ball = RAPIER.ColliderDesc.ball(RADIUS_NM).setRestitution(1).setFriction(0);
    world.createCollider(ball.setActiveEvents(RAPIER.ActiveEvents.COLLISION_EVENTS), body);
    return body;
  });
  const thick = 2;
  for (let axis = 0; axis < 3; axis++)
    for (const far of [0, 1]) {
      const half = [0, 1, 2].map((one) => (one === axis ? thick : EDGE_NM)) as [number, number, number];
      const middle = [0, 1, 2].map((one) => (one !== axis ? EDGE_NM / 2 : far ? EDGE_NM + thick : -thick));
      const wall = RAPIER.ColliderDesc.cuboid(...half).setTranslation(...(middle as [number, number, number]));
      world.createCollider(wall.setRestitution(1).setFriction(0));
    }
  return {
    name: 'rapier3d',
    step: () => {
      world.step(events);
      let began = 0;
      events.drainCollisionEvents((_, __, isStart) => {
        if (isStart) began++;
      });
      return began;
    },
    energy: () => balls.reduce((sum, body) => sum + square(body.linvel()) / 2, 0),
  };
}

function cannon(): Scene {
  const world = new World({ gravity: new Vec3(0, 0, 0) });
  world.broadphase = new SAPBroadphase(world);
  const material = new Material();
  world.addContactMaterial(new ContactMaterial(material, material, { friction: 0, restitution: 1 }));
  const { at, velocity } = start();
  const shape = new Sphere(RADIUS_NM);
  const balls = Array.from({ length: COUNT }, (_, i) => {
    const body = new Body({ mass: 1, shape, material, linearDamping: 0, angularDamping: 0 });
    body.position.set(...three(at, i));
    body.velocity.set(...three(velocity, i));
    world.addBody(body);
    return body;
  });
  let began = 0;
  world.addEventListener('beginContact', () => began++);
  const wall = (turn: [number, number, number], angle: number, x: number, y: number, z: number) => {
    const body = new Body({ mass: 0, shape: new Plane(), material });
    body.quaternion.setFromAxisAngle(new Vec3(...turn), angle);
    body.position.set(x, y, z);
    world.addBody(body);
  };
  const [e, half] = [EDGE_NM, Math.PI / 2];
  wall([1, 0, 0], 0, 0, 0, 0);
  wall([1, 0, 0], Math.PI, 0, 0, e);
  wall([1, 0, 0], -half, 0, 0, 0);
  wall([1, 0, 0], half, 0, e, 0);
  wall([0, 1, 0], half, 0, 0, 0);
  wall([0, 1, 0], -half, e, 0, 0);
  return {
    name: 'cannon-es',
    step: () => {
      began = 0;
      world.step(STEP_PS);
      return began;
    },
    energy: () => balls.reduce((sum, { velocity: v }) => sum + square(v) / 2, 0),
  };
}

/** Impacts a second of each, and how far each has lost or won energy by then. */
export async function benchRivals(): Promise<void> {
  const rates: number[] = [];
  for (const scene of [await rapier(), cannon()]) {
    const before = scene.energy();
    for (let i = 0; i < 20; i++) scene.step();
    const began = performance.now();
    let [impacts, steps] = [0, 0];
    while (performance.now() - began < RUN_MS) {
      impacts += scene.step();
      steps++;
    }
    const rate = (1000 * impacts) / (performance.now() - began);
    rates.push(rate);
    const drift = scene.energy() / before - 1;
    const ps = (steps + 20) * STEP_PS;
    console.log(
      `${scene.name}, ${COUNT} balls: ${Math.round(rate).toLocaleString('en')} impacts a second by steps of ${STEP_PS} ps; energy ${(100 * drift).toFixed(1)} % off after ${ps.toFixed(0)} ps`,
    );
  }
  const kinds = [{ gPerMol: 39.95, radiusNm: RADIUS_NM, count: COUNT }];
  const gas = new HardSpheres({ box: [EDGE_NM, EDGE_NM, EDGE_NM], kinds, kelvin: 300, seed: 1 });
  const before = gas.energyZJ();
  gas.advance(20);
  const began = performance.now();
  let impacts = 0;
  while (performance.now() - began < RUN_MS) impacts += gas.advance(2);
  const rate = (1000 * impacts) / (performance.now() - began);
  const drift = Math.abs(gas.energyZJ() / before - 1);
  console.log(
    `hard spheres on the same scene: ${Math.round(rate).toLocaleString('en')} impacts a second, ${(rate / Math.max(...rates)).toFixed(0)} times the better one (aim 3); energy off by ${drift.toExponential(1)}`,
  );
}
