import { assessmentSchema } from '$core/design/calculations';
import { photoKeptSchema, photoRequest } from '$lib/schemas/photo';
import { backdropKeptSchema, backdropRequest } from '$lib/schemas/backdrop';
import { projectFileSchema } from '$lib/schemas/projectFile';
import {
  changedSchema,
  createRequest,
  createdSchema,
  editRequest,
  listedSitesSchema,
  openedSiteSchema,
  releaseRequest,
  releasedSchema,
  standingRequest,
  undoRequest,
} from '$lib/schemas/site';
import type { Operation } from '../operation';

export const siteOperations: readonly Operation[] = [
  {
    path: '/api/v1/sites',
    method: 'get',
    summary: 'Every site of the yard, with how it stands',
    response: listedSitesSchema,
  },
  {
    path: '/api/v1/sites',
    method: 'post',
    summary: 'A new, empty site',
    request: createRequest,
    response: createdSchema,
    status: '201',
  },
  {
    path: '/api/v1/projects',
    method: 'post',
    summary: 'Import a project file as a site of its own',
    request: projectFileSchema,
    response: createdSchema,
    status: '201',
  },
  {
    path: '/api/v1/sites/{id}',
    method: 'get',
    summary: 'A site as it stands: its design, its releases, and units that have to be switched off',
    response: openedSiteSchema,
  },
  {
    path: '/api/v1/sites/{id}/standing',
    method: 'post',
    summary: 'Put a site aside or out of sight, or back into the yard',
    request: standingRequest,
    response: standingRequest,
  },
  {
    path: '/api/v1/sites/{id}/copy',
    method: 'post',
    summary: 'A new site that starts with the design of this one',
    request: createRequest,
    response: createdSchema,
    status: '201',
  },
  {
    path: '/api/v1/sites/{id}/project',
    method: 'get',
    summary: 'Export a site as a project file',
    response: projectFileSchema,
  },
  {
    path: '/api/v1/sites/{id}/assessment',
    method: 'get',
    summary: 'Every check of a site',
    response: assessmentSchema,
  },
  {
    path: '/api/v1/sites/{id}/edits',
    method: 'post',
    summary: 'Change the design under its revision',
    request: editRequest,
    response: changedSchema,
  },
  {
    path: '/api/v1/sites/{id}/undo',
    method: 'post',
    summary: 'Take the last change back',
    request: undoRequest,
    response: changedSchema,
  },
  {
    path: '/api/v1/sites/{id}/redo',
    method: 'post',
    summary: 'Make the change again that was taken back last',
    request: undoRequest,
    response: changedSchema,
  },
  {
    path: '/api/v1/sites/{id}/backdrops',
    method: 'post',
    summary: 'Keep a picture or a drawing to trace the plan over',
    request: backdropRequest,
    response: backdropKeptSchema,
    status: '201',
  },
  {
    path: '/api/v1/sites/{id}/photos',
    method: 'post',
    summary: 'Keep a photo for the record',
    request: photoRequest,
    response: photoKeptSchema,
    status: '201',
  },
  {
    path: '/api/v1/sites/{id}/releases',
    method: 'post',
    summary: 'Freeze the design under the next letter',
    request: releaseRequest,
    response: releasedSchema,
    status: '201',
  },
];
