import type { MaterialSpec } from '../material';

export const vitrifiedClay: MaterialSpec = {
  name: 'clay',
  buyerName: 'clay',
  said: 'vitrified clay|clay|clay {pipe|tile}|vcp|terra cotta|terracotta|vitrified clay pipe',
  service: { laid: { from: 1880, to: 1985 }, life: { from: 50, to: 100 } },
  friction: 0.35,
  manningN: 0.013,
  traits: ['jointed', 'bursts'],
  tile: { width: 14, height: 8, tone: 'clay', strokes: [[0, 7.5, 14, 7.5]], dots: [] },
};
