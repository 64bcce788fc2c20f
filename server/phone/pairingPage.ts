import { CODE_DIGITS } from './pairing.ts';

/** The one page a stranger on the home network sees: it asks for the code, and says nothing of the workshop. */
export function pairingPage(code: string, said = ''): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Pair this phone</title>
<style>
body { font: 18px/1.5 system-ui, sans-serif; background: #e6e6e6; color: #151515; margin: 0; padding: 24px; }
form { max-width: 420px; margin: 24px auto; background: #fbfbfb; border: 1px solid #c8c8c8; padding: 24px; }
label { display: block; font-weight: 650; margin-top: 12px; }
input { box-sizing: border-box; width: 100%; font: 22px ui-monospace, monospace; padding: 10px; border: 1px solid #767676; border-radius: 3px; }
button { margin-top: 20px; width: 100%; min-height: 56px; font: 650 20px system-ui, sans-serif; background: #151515; color: #fff; border: 0; border-radius: 3px; }
.said { border-left: 4px solid #151515; padding-left: 12px; }
</style>
</head>
<body>
<form method="post" action="/pair">
<h1>Pair this phone</h1>
<p>The code stands on the computer: Workshop, Phone at the bench.</p>
${said === '' ? '' : `<p class="said" role="alert">${escaped(said)}</p>`}
<label for="code">Code</label>
<input id="code" name="code" inputmode="numeric" autocomplete="off" maxlength="20" required value="${escaped(code)}">
<label for="name">Name of this phone</label>
<input id="name" name="name" maxlength="40" value="Phone">
<button>Pair</button>
<p>What passes between phone and computer is not encrypted: use this at home, not on a network you share with strangers. A code has ${CODE_DIGITS} figures.</p>
</form>
</body>
</html>`;
}

function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (mark) => `&#${mark.charCodeAt(0)};`);
}
