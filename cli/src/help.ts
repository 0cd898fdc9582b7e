/** What each command does, what it takes, and examples. */
const ARCHIVE_OPTIONS = `  --at INSTANT        as the site stood then, such as 2031-05-06T08:00:00Z; else as it stands at its last entry
  --by NAME           in whose name it is written; else who wrote the last entry
  --time-zone ZONE    whose times it shows, such as Europe/Lisbon
  -o, --out FILE      where to write; else standard output
`;

export const HELP = {
  read: `Usage: npm run -s cli -- read [OPTION...] FILE...

Reads drawings (DXF, GeoJSON, LandXML) and lists of points (CSV, text) and says what is in them: unit, counts, what was
left out and why, what to look at. "-" is standard input. Of a case { "id", "kind": "drawing" | "control", "input":
{ "file", "unit", "order", "columns", "decimal" } } it reads the file beside it and prints one line of JSON.

  --unit UNIT         unit of the coordinates, whatever the file says: m, mm, cm, dm, km, in, ft, ftUS, yd
  --order EN|NE       what X and Y are: EN where X is east, NE where X is north
  --columns ROLES     what each column is, such as name,n,e,z,code
  --decimal .|,       the decimal sign
  --as drawing|control   how to read a list; else as control
  --json              one line of JSON a file, with everything that was read

Exit status: 0 all read, 1 any could not be, 2 wrong usage.

  npm run -s cli -- read site.dxf --unit mm
  npm run -s cli -- read points.txt --columns name,n,e,z,code --unit ft --json
`,
  compute: `Usage: npm run -s cli -- compute CASE...

Computes stations, checks, stakes, judgements, trust, geometry, and places along alignments from cases
{ "id", "kind", "input" } in JSON files ("-" is standard input), and prints one line of JSON a case, in order.
"schema KIND" prints what the input of a kind has to be.

Exit status: 0 all computed, 1 any gave an error, 2 wrong usage.

  npm run -s cli -- compute station.json
  npm run -s cli -- compute - < station.json
`,
  export: `Usage: npm run -s cli -- export --as FORM [OPTION...] ARCHIVE

Writes a site's points, lines and sights for other programs from its archive ("-" is standard input), without a server.

  --as FORM           points-csv, dxf, landxml, geojson, control-csv, control-landxml, raw-sights
  --groups GROUPS     what goes in: control,marks,planned,stations,asBuilt; else all but planned
  --columns COLUMNS   of points-csv, in this order: name,e,n,z,group,code,note,designZ,offset,cutFill,dEMm,dNMm,
                      station,standing,at
  --setup NAME        of raw-sights
  --no-head           a bare table, without the lines that say what it is
${ARCHIVE_OPTIONS}
Exit status: 0 written, 1 the archive can't be used, 2 wrong usage.

  npm run -s cli -- export --as points-csv --columns name,n,e,z,code site.zip > points.csv
  npm run -s cli -- export --as dxf -o site.dxf site.zip
`,
  report: `Usage: npm run -s cli -- report --paper PAPER [OPTION...] ARCHIVE

Makes a paper from a site's archive ("-" is standard input), without a server.

  --paper PAPER       sheet            [--number N] [--revision N] [--form pdf|csv|xlsx]
                      control-report
                      as-built         [--form pdf|csv]
                      field-book       --day 2031-05-06
                      setup            --setup S1
                      shift
                      labels           --package NAME --format FORMAT
                      cards            --package NAME [--languages en,es]
                      sketch           --package NAME
                      control-card     --mark NAME
                      control-labels   --format FORMAT
  --no-head           of a CSV: a bare table, without the lines that say what it is
  --format FORMAT     a4of24, a4of14, a4of8, letterOf30, letterOf10, roll24, roll36, roll62
${ARCHIVE_OPTIONS}
Exit status: 0 written, 1 the archive can't be used or there is nothing to print, 2 wrong usage.

  npm run -s cli -- report --paper sheet -o sheet.pdf site.zip
  npm run -s cli -- report --paper labels --package "Hall hubs" --format a4of24 -o labels.pdf site.zip
`,
  check: `Usage: npm run -s cli -- check [--json] ARCHIVE...

Reads archives of sites whole ("-" is standard input): against their list of contents, against the rules for entries and
sheets, and whether every entry that another names is there; and says what is in them.

  --json              one line of JSON an archive
  -o, --out FILE      where to write; else standard output

Exit status: 0 all are whole, 1 any is not, 2 wrong usage.

  npm run -s cli -- check site.zip
`,
  schema: `Usage: npm run -s cli -- schema [KIND...]

Prints the JSON schema of what commands and the server take as JSON; without a kind the kinds that there are.

Exit status: 0 printed, 2 there is no such kind.

  npm run -s cli -- schema resection
`,
} as const;

export type CommandName = keyof typeof HELP;

export const USAGE = `Usage: npm run -s cli -- COMMAND [OPTION...] FILE...

  read       what drawings and lists of points are read as
  compute    stations, checks, stakes, judgements, trust, alignments from JSON
  export     points, lines and sights of a site, from its archive
  report     papers of a site, from its archive
  check      whether an archive is whole
  schema     the JSON schemas of what is taken

COMMAND --help says more.
`;
