/**
 * Who may ask for what, written by hand and read from no code: the table that decides is checked against this one.
 *
 * Behind each address, in this order: owner, office, inspector on their own job, inspector on another's, reader, and
 * somebody who is not signed in. `+` may, `-` may not. What belongs to no job says the same for both jobs.
 */
export const ACCESS_MATRIX = `
GET    /                                                  +++++-
GET    /board                                             +++++-
GET    /due                                               +++++-
POST   /due                                               +++++-
GET    /contacts                                          ++++--
POST   /contacts                                          ++++--
GET    /outbox                                            ++++--
GET    /firm                                              ++----
GET    /prices                                            ++----
GET    /settings                                          ++++--
GET    /people                                            +-----
POST   /people                                            +-----
GET    /people/log                                        +-----
GET    /devices                                           ++----
POST   /devices                                           +-----
GET    /me                                                +++++-
POST   /me                                                +++++-
POST   /sign-out                                          +++++-
GET    /sign-in                                           ++++++
POST   /sign-in                                           ++++++
GET    /forgot                                            ++++++
POST   /forgot                                            ++++++
GET    /join/[secret]                                     ++++++
POST   /join/[secret]                                     ++++++
GET    /r/[secret]                                        ++++++
GET    /r/[secret]/[name]                                 ++++++
GET    /calendar/[secret]                                 ++++++
POST   /light                                             ++++++
GET    /jobs/[jobId]                                      +++++-
GET    /jobs/[jobId]/site                                 +++++-
GET    /jobs/[jobId]/scope                                +++++-
GET    /jobs/[jobId]/look                                 +++++-
GET    /jobs/[jobId]/lateral                              +++++-
GET    /jobs/[jobId]/observations                         +++++-
GET    /jobs/[jobId]/findings                             +++++-
GET    /jobs/[jobId]/repairs                              +++++-
GET    /jobs/[jobId]/report                               +++++-
GET    /jobs/[jobId]/request                              +++++-
GET    /jobs/[jobId]/issued/[number]                      +++++-
GET    /jobs/[jobId]/remove                               +++---
POST   /jobs/[jobId]/remove                               +++---
GET    /api/health                                        ++++++
GET    /api/jobs                                          +++++-
POST   /api/jobs                                          ++++--
POST   /api/jobs/import                                   ++++--
GET    /api/jobs/[jobId]                                  +++++-
PATCH  /api/jobs/[jobId]                                  +++---
DELETE /api/jobs/[jobId]                                  +++---
GET    /api/jobs/[jobId]/file                             +++++-
GET    /api/jobs/[jobId]/files/[name]                     +++++-
GET    /api/jobs/[jobId]/history                          +++++-
GET    /api/jobs/[jobId]/report.pdf                       +++++-
GET    /api/jobs/[jobId]/issued                           +++++-
POST   /api/jobs/[jobId]/issued                           +-+---
GET    /api/jobs/[jobId]/issued/[number]/[name]           +++++-
GET    /api/jobs/[jobId]/media/[mediaId]                  +++++-
PUT    /api/jobs/[jobId]/media/[mediaId]                  +-+---
GET    /api/jobs/[jobId]/recordings/[recordingId]         +++++-
GET    /api/jobs/[jobId]/recordings/[recordingId]/clip    +++++-
POST   /api/jobs/[jobId]/runs/[runId]/entries             +-+---
POST   /api/jobs/[jobId]/send                             +++---
GET    /api/jobs/[jobId]/shares                           +++---
POST   /api/jobs/[jobId]/shares                           +++---
DELETE /api/jobs/[jobId]/shares/[shareId]                 +++---
GET    /api/outbox/[messageId]/[position]                 +++---
POST   /api/outbox/[messageId]/again                      +++---
GET    /api/preferences                                   +++++-
PATCH  /api/preferences                                   ++++--
GET    /api/slots                                         ++++--
GET    /api/invoices.csv                                  ++----
POST   /api/passkeys                                      +++++-
POST   /api/passkeys/new                                  +++++-
POST   /api/passkeys/confirm                              +++++-
POST   /api/passkeys/challenge                            ++++++
POST   /api/passkeys/sign-in                              ++++++
`
  .trim()
  .split('\n')
  .map((line) => {
    const [method, path, marks] = line.split(/ +/) as [string, string, string];
    const [owner, office, own, others, reader, stranger] = marks
      .split('')
      .map((mark) => mark === '+');
    return {
      method,
      path,
      on: {
        mine: { owner, office, inspector: own, reader },
        others: { owner, office, inspector: others, reader },
      },
      stranger,
    };
  });
