// Draws the photograph, the texture and the silent clip of the samples, which stand in for what a stock service would bring. Chromium paints them; nothing comes from outside.
// node --experimental-websocket scripts/draw-stand-ins.mjs [NAME...]
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const FOLDER = 'src/Sandbar.Core/Samples/Pellwyn';

/** Runs in the page: the same numbers each time, so that the pictures come out the same. */
const SHARED = `
  let seed = 7;
  const random = () => ((seed = (seed * 1664525 + 1013904223) % 4294967296) / 4294967296);
  const between = (a, b) => a + (b - a) * random();
  const surface = (width, height) => {
    const canvas = Object.assign(document.createElement('canvas'), { width, height });
    return [canvas, canvas.getContext('2d')];
  };
  const dataOf = (blob) => new Promise((done) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result.split(',')[1]);
    reader.readAsDataURL(blob);
  });
  const encoded = (canvas, type, quality) => new Promise((done) => canvas.toBlob(done, type, quality)).then(dataOf);
`;

/** Rain on leaves at a share of its length. */
const RAIN = `
    const [canvas, c] = surface(960, 540);
    const leaves = Array.from({ length: 46 }, () => ({ x: between(-40, 1000), y: between(120, 560), size: between(60, 150), turn: between(-1.2, 1.2), light: between(0.3, 1), beat: Math.round(between(1, 3)), at: between(0, 6.28) }));
    const drops = Array.from({ length: 150 }, () => ({ x: between(-40, 1000), y: between(0, 540), speed: Math.round(between(4, 7)), length: between(14, 34) }));
    const paint = (share) => {
      const ground = c.createLinearGradient(0, 0, 0, 540);
      ground.addColorStop(0, '#20352a'); ground.addColorStop(1, '#0f1c16');
      c.fillStyle = ground; c.fillRect(0, 0, 960, 540);
      for (const leaf of leaves) {
        c.save(); c.translate(leaf.x, leaf.y); c.rotate(leaf.turn + 0.06 * Math.sin(share * 6.2832 * leaf.beat + leaf.at));
        c.fillStyle = \`rgb(\${28 + 40 * leaf.light},\${60 + 70 * leaf.light},\${40 + 30 * leaf.light})\`;
        c.beginPath(); c.ellipse(0, 0, leaf.size * 0.34, leaf.size, 0, 0, 7); c.fill();
        c.strokeStyle = 'rgba(200,225,190,.18)'; c.lineWidth = 2; c.beginPath(); c.moveTo(0, -leaf.size); c.lineTo(0, leaf.size); c.stroke(); c.restore();
      }
      c.strokeStyle = 'rgba(214,228,232,.38)'; c.lineWidth = 1.6;
      for (const drop of drops) {
        const y = ((drop.y + share * drop.speed * 600) % 600) - 30;
        c.beginPath(); c.moveTo(drop.x, y); c.lineTo(drop.x - 3, y + drop.length); c.stroke();
      }
    };
`;

const PICTURES = {
  /** Evening over the beds: somebody stands right of the middle and looks at us. */
  'evening-beds.jpg': `
    const [canvas, c] = surface(2400, 1350);
    const sky = c.createLinearGradient(0, 0, 0, 620);
    for (const [at, color] of [[0, '#3c5878'], [0.45, '#a9a4a2'], [0.8, '#e8b87e'], [1, '#f3d9a4']]) sky.addColorStop(at, color);
    c.fillStyle = sky; c.fillRect(0, 0, 2400, 640);
    const sun = c.createRadialGradient(520, 560, 10, 520, 560, 620);
    sun.addColorStop(0, 'rgba(255,244,210,.95)'); sun.addColorStop(0.12, 'rgba(255,226,160,.7)'); sun.addColorStop(1, 'rgba(255,210,140,0)');
    c.fillStyle = sun; c.fillRect(0, 0, 2400, 900);
    // Hills, one behind the other.
    for (const [base, height, color] of [[560, 120, '#7d8a86'], [600, 90, '#5d7160'], [640, 70, '#44593f']]) {
      c.fillStyle = color; c.beginPath(); c.moveTo(0, 700);
      const [one, other] = [between(0, 6), between(0, 6)];
      for (let x = 0; x <= 2400; x += 12) c.lineTo(x, base - height * (0.5 + 0.35 * Math.sin(x / 310 + one) + 0.15 * Math.sin(x / 97 + other)));
      c.lineTo(2400, 700); c.fill();
    }
    const soil = c.createLinearGradient(0, 620, 0, 1350);
    soil.addColorStop(0, '#6a5236'); soil.addColorStop(1, '#2a1f16');
    c.fillStyle = soil; c.fillRect(0, 620, 2400, 730);
    // Rows of leaves that run to one point, larger the nearer they are.
    for (let depth = 0; depth < 46; depth++) {
      const near = depth / 45, y = 640 + 690 * near ** 1.7;
      for (let row = -9; row <= 9; row++) {
        const x = 1150 + row * (40 + 330 * near ** 1.5), size = 5 + 62 * near ** 1.5;
        for (let leaf = 0; leaf < 7; leaf++) {
          const light = between(0.35, 1) * (0.55 + 0.45 * (1 - Math.min(1, Math.abs(x - 520) / 1700)));
          c.fillStyle = \`rgb(\${50 + 90 * light},\${72 + 92 * light},\${38 + 40 * light})\`;
          c.save(); c.translate(x + between(-1, 1) * size, y + between(-0.6, 0.4) * size); c.rotate(between(-1.4, 1.4));
          c.beginPath(); c.ellipse(0, -size * 0.4, size * 0.22, size * between(0.4, 0.75), 0, 0, 7); c.fill(); c.restore();
        }
      }
    }
    // Who looks after them.
    const shadow = c.createRadialGradient(1690, 1180, 10, 1690, 1180, 260);
    shadow.addColorStop(0, 'rgba(20,14,8,.6)'); shadow.addColorStop(1, 'rgba(20,14,8,0)');
    c.fillStyle = shadow; c.save(); c.translate(0, 590); c.scale(1, 0.5); c.fillRect(1400, 900, 600, 600); c.restore();
    const coat = c.createLinearGradient(1540, 0, 1850, 0);
    coat.addColorStop(0, '#7f5a4a'); coat.addColorStop(0.5, '#5d3440'); coat.addColorStop(1, '#3d222c');
    c.fillStyle = coat; c.beginPath(); c.moveTo(1600, 620); c.quadraticCurveTo(1500, 700, 1520, 1180); c.lineTo(1860, 1180); c.quadraticCurveTo(1880, 700, 1780, 620); c.fill();
    const skin = c.createRadialGradient(1655, 470, 10, 1690, 500, 130);
    skin.addColorStop(0, '#e9b48c'); skin.addColorStop(1, '#a96f4d');
    c.fillStyle = '#a0684a'; c.fillRect(1650, 560, 80, 90);
    c.fillStyle = skin; c.beginPath(); c.ellipse(1690, 500, 84, 108, 0, 0, 7); c.fill();
    c.fillStyle = '#c9a25b'; c.beginPath(); c.ellipse(1690, 424, 190, 40, -0.05, 0, 7); c.fill();
    c.fillStyle = '#b58d47'; c.beginPath(); c.ellipse(1690, 394, 96, 66, 0, Math.PI, 0); c.fill();
    c.fillStyle = '#2c1d15'; for (const x of [1656, 1722]) { c.beginPath(); c.ellipse(x, 494, 9, 7, 0, 0, 7); c.fill(); }
    c.strokeStyle = '#7a4632'; c.lineWidth = 7; c.lineCap = 'round'; c.beginPath(); c.arc(1690, 535, 30, 0.35, 2.8); c.stroke();
    c.beginPath(); c.moveTo(1690, 500); c.lineTo(1682, 528); c.stroke();
    // What light does at this hour, and the grain of a film.
    const glow = c.createLinearGradient(0, 0, 2400, 500);
    glow.addColorStop(0, 'rgba(255,190,110,.28)'); glow.addColorStop(1, 'rgba(30,40,70,.22)');
    c.fillStyle = glow; c.fillRect(0, 0, 2400, 1350);
    const pixels = c.getImageData(0, 0, 2400, 1350);
    for (let i = 0; i < pixels.data.length; i += 4) { const grain = between(-5, 5); for (let k = 0; k < 3; k++) pixels.data[i + k] += grain; }
    c.putImageData(pixels, 0, 0);
    return encoded(canvas, 'image/jpeg', 0.72);
  `,
  /** A weave that goes on in both ways. */
  'weave.png': `
    const [canvas, c] = surface(96, 96);
    c.clearRect(0, 0, 96, 96);
    for (let y = 0; y < 96; y += 4) for (let x = 0; x < 96; x += 4) {
      const over = (x / 4 + y / 4) % 2 === 0;
      c.fillStyle = \`rgba(43,34,27,\${over ? between(0.5, 0.8) : between(0.12, 0.3)})\`;
      if (over) c.fillRect(x, y + 1, 4, 2); else c.fillRect(x + 1, y, 2, 4);
    }
    return encoded(canvas, 'image/png');
  `,
  /** A moment of the clip below, for where it does not play. */
  'rain-still.jpg': `
    ${RAIN}
    paint(0.25);
    return encoded(canvas, 'image/jpeg', 0.8);
  `,
  /** Rain on leaves, four seconds that begin as they end; without sound. */
  'rain.webm': `
    ${RAIN}
    const length = 4000;
    const recorder = new MediaRecorder(canvas.captureStream(25), { mimeType: 'video/webm;codecs=vp8', videoBitsPerSecond: 900000 });
    const parts = [];
    recorder.ondataavailable = (event) => parts.push(event.data);
    const stopped = new Promise((done) => (recorder.onstop = done));
    recorder.start();
    const start = performance.now();
    await new Promise((done) => {
      const step = () => {
        const now = performance.now() - start;
        paint((now % length) / length);
        if (now >= length) done(); else requestAnimationFrame(step);
      };
      step();
    });
    recorder.stop();
    await stopped;
    return dataOf(new Blob(parts));
  `,
};

const browser = spawn('chromium', ['--headless=new', '--no-sandbox', '--remote-debugging-port=0', `--user-data-dir=${mkdtempSync(join(tmpdir(), 'draw-'))}`, 'about:blank'], { stdio: ['ignore', 'ignore', 'pipe'] });
const address = await new Promise((found) => {
  let said = '';
  browser.stderr.on('data', (data) => {
    said += data;
    const listening = /ws:\/\/\S+/.exec(said);
    if (listening) found(listening[0]);
  });
});
const socket = new WebSocket(address);
await new Promise((opened) => (socket.onopen = opened));
const waiting = new Map();
socket.onmessage = ({ data }) => {
  const { id, result, error } = JSON.parse(data);
  if (error) throw new Error(error.message);
  waiting.get(id)?.(result);
};
let last = 0;
const send = (method, params, sessionId) => new Promise((done) => {
  waiting.set(++last, done);
  socket.send(JSON.stringify({ id: last, method, params, sessionId }));
});
const { targetId } = await send('Target.createTarget', { url: 'about:blank' });
const { sessionId } = await send('Target.attachToTarget', { targetId, flatten: true });
const wanted = process.argv.slice(2);
for (const [name, drawing] of Object.entries(PICTURES)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const { result, exceptionDetails } = await send('Runtime.evaluate', { expression: `(async () => { ${SHARED} ${drawing} })()`, awaitPromise: true, returnByValue: true }, sessionId);
  if (exceptionDetails) throw new Error(exceptionDetails.exception.description);
  const bytes = Buffer.from(result.value, 'base64');
  writeFileSync(join(FOLDER, name.endsWith('.webm') ? 'clips' : 'pictures', name), bytes);
  console.log(`${name}: ${bytes.length} bytes`);
}
socket.close();
browser.kill();
