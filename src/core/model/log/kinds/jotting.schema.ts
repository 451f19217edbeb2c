import Joi from 'joi';
import { id, prose } from '../../../base/joi';

export const flagKeys = {};
export const noteKeys = { note: prose().required() };
export const photoKeys = { photoIds: Joi.array().items(id()).min(1).max(200).required() };
export const retractKeys = { retracts: id().required() };
