/** Cómo salió cada cifra, dicho como en obra: una frase con los números en su lugar. */
import type { said as english } from '../en/said.ts';
import type { Words } from '../words.ts';

export const said: Words<typeof english> = {
  said: {
    hatch: '{{name}}: {{value}}; rayar en planta y corte',
    pressPiece: 'Pulse una parte para ver dónde queda en planta y corte.',
    hatched: 'Rayado: {{name}}, {{value}}',
    unhatch: 'Listo',
    formula: 'La fórmula',
    neat: 'La planta de las zapatas, derecho hacia abajo: {{value}}.',
    overdig: {
      room: 'Lugar para encofrar y pisar, hasta {{room}} de cada lado a lo largo de {{run}}: {{value}} más.',
      bucket: 'Lo que el cucharón se lleva por ser tan ancho: {{value}} más.',
      sides:
        'Lados de hasta {{slope}} en hasta {{depth}}, a ambos lados de {{run}}, menos lo que comparten: {{value}} más.',
      low: 'Fondos más bajos que lo pedido: {{value}} más.',
      soft: 'Suelo blando sacado bajo los fondos: {{value}} más.',
      access: 'Rampas de entrada y salida: {{value}} más.',
    },
    digTotal: '{{neat}} netos y {{overdig}} por encima, lo que dos comparten contado una vez: {{value}}.',
    stratum: 'De eso, {{value}} son de este suelo.',
    handTrim: '{{trim}} que se dejan sobre {{bottomArea}} de fondo para la pala: {{value}}.',
    bulk: '{{bank}} en banco esponjan {{swell}}: {{value}} sueltos.',
    pile: '{{keptLoose}} a lo largo de {{run}} con su propio talud de {{repose}}: {{pileBase}} de ancho y {{value}} de alto.',
    void: '{{digTotal}} excavados, menos todo lo que queda dentro: {{value}} por rellenar.',
    keepSoil: 'Al compactarlo merma {{shrink}}, así que se guardan {{value}}.',
    shortfall: 'Faltan {{value}} de suelo apto: tráigalo.',
    loads:
      '{{loose}} y {{mass}} en cajas de {{body}} que cargan {{payload}}: {{value}} viajes, el último lleno al {{lastFill}}.',
    footings: 'Las zapatas, donde dos se cruzan contado una vez: {{value}}.',
    order: '{{volume}} y {{waste}} de pérdida, al paso de planta de {{step}}: pida {{value}}.',
    trucks: 'En camiones de {{truck}}: {{value}}.',
    haulSoil: '{{bank}} en banco, {{loose}} sueltos, a {{density}}: salen {{value}}.',
    brokenOut: '{{bank}} rotos esponjan {{swell}}: {{value}}, {{mass}}.',
    brokenLoads: 'Lo roto sale en {{value}} viajes propios.',
    mixed: 'Con todos los camiones que hay, lo menos son {{value}}.',
    lifts:
      'Una cama de {{bed}} con un compactador que puede {{liftLimit}}: {{value}} capas de {{lift}}, extendidas a {{liftLoose}}, {{passes}} pasadas cada una.',
    stoneVolume: 'Piedra hasta las caras excavadas: {{value}}.',
    stoneMass: '{{stoneVolume}} a {{density}}: {{value}}.',
    stoneLoose: 'Llega suelta, {{looseFactor}} veces más: {{value}}.',
    drainStone: 'Piedra alrededor de los drenes, menos su tubo: {{value}}.',
    blinding: '{{blindingArea}} en planta, {{thickness}} de espesor: {{value}}.',
    irregularity: '{{blindingArea}} con {{unevenness}} de desnivel: {{value}} más.',
    inflow: {
      low: 'Si el suelo deja pasar poca agua, {{permeability}}: {{value}}.',
      likely: 'Como es probable, {{permeability}}, de {{head}} hasta {{held}}: {{value}}.',
      high: 'Si corre, {{permeability}}: {{value}}.',
    },
    putBack: '{{spotArea}} de lugar blando, {{thickness}} de hondo: {{value}} repuestos.',
    stack: 'De lo neto a lo excavado',
  },
};
