// A mail server that keeps nothing and delivers to nobody: it prints what it is given. It stops after the first message.
//   node tests/readers/smtp.mjs PORT          accepts
//   node tests/readers/smtp.mjs PORT refuse   says that it is busy
import { createServer } from 'node:net';

const [port, how] = process.argv.slice(2);

const server = createServer((socket) => {
    let isData = false;
    let buffer = '';
    const say = (line) => socket.write(`${line}\r\n`);
    const end = () => {
        socket.end();
        // The other end may hold the line for long.
        setTimeout(() => process.exit(0), 200);
    };
    socket.setEncoding('utf8');
    say('220 sink');
    socket.on('data', (chunk) => {
        buffer += chunk;
        if (isData) {
            const at = buffer.indexOf('\r\n.\r\n');
            if (at < 0) return;
            process.stdout.write(buffer.slice(0, at));
            buffer = buffer.slice(at + 5);
            isData = false;
            say('250 taken');
            end();
            return;
        }
        for (let at = buffer.indexOf('\r\n'); at >= 0 && !isData; at = buffer.indexOf('\r\n')) {
            const line = buffer.slice(0, at);
            buffer = buffer.slice(at + 2);
            const verb = line.slice(0, 4).toUpperCase();
            if (verb === 'EHLO' || verb === 'HELO') say('250 sink');
            else if (verb === 'MAIL' && how === 'refuse') {
                say('451 busy');
                end();
            } else if (verb === 'MAIL' || verb === 'RCPT') {
                process.stdout.write(`${line}\n`);
                say('250 yes');
            } else if (verb === 'DATA') {
                isData = true;
                say('354 go on');
            } else if (verb === 'QUIT') {
                say('221 bye');
                end();
            } else say('250 yes');
        }
    });
    socket.on('error', () => {});
});
server.listen(Number(port), '127.0.0.1', () => process.stderr.write('ready\n'));
