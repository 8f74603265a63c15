import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureDebianPackages } from './debian.mjs'
import { freePort } from './freePort.mjs'
import { isServing } from './server.mjs'

const UP_WITHIN_MS = 10_000

const configOf = (folder, port, servers) => `
daemon off;
pid ${folder}/pid;
error_log ${folder}/error.log;
worker_processes 1;
events { worker_connections 2048; }
http {
  access_log off;
  client_body_temp_path ${folder}/body;
  proxy_temp_path ${folder}/proxy;
  fastcgi_temp_path ${folder}/fastcgi;
  uwsgi_temp_path ${folder}/uwsgi;
  scgi_temp_path ${folder}/scgi;
  upstream servers {
    keepalive 64;
${servers.map(url => `    server ${new URL(url).host} max_fails=1 fail_timeout=1s;`).join('\n')}
  }
  server {
    listen 127.0.0.1:${port} backlog=1024;
    client_max_body_size 16m;
    location / {
      proxy_pass http://servers;
      proxy_http_version 1.1;
      proxy_set_header Connection "";
      proxy_set_header Host $http_host;
      proxy_set_header X-Forwarded-For $remote_addr;
      proxy_connect_timeout 1s;
    }
  }
}
`

/** A proxy on loopback in front of several servers, asked in turn; one that does not answer is left out for a second. */
export async function proxyBefore(servers) {
  await ensureDebianPackages(['nginx-light'])
  const folder = mkdtempSync(join(tmpdir(), 'tholepin-proxy-'))
  const port = await freePort()
  writeFileSync(join(folder, 'nginx.conf'), configOf(folder, port, servers))
  const child = spawn('/usr/sbin/nginx', ['-c', join(folder, 'nginx.conf'), '-p', folder], {
    stdio: 'ignore',
    detached: true,
  })
  const ended = new Promise(resolve => child.once('exit', resolve))
  const url = `http://127.0.0.1:${port}`
  for (const limit = Date.now() + UP_WITHIN_MS; !(await isServing(url)) && Date.now() < limit;)
    await new Promise(resolve => setTimeout(resolve, 100))
  return {
    url,
    stop: async () => {
      child.kill('SIGTERM')
      await ended
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
