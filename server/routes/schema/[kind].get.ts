import { FILE_SCHEMAS, jsonSchemaOf, type FileKind } from '../../../core/job/json-schema'

/** JSON Schema of the exported files: /schema/job.json and /schema/shop.json. */
export default defineEventHandler(event => {
  const kind = (getRouterParam(event, 'kind') ?? '').replace(/\.json$/, '')
  if (!Object.hasOwn(FILE_SCHEMAS, kind))
    throw createError({ statusCode: 404, statusMessage: 'There is a schema for job and for shop.' })
  return jsonSchemaOf(kind as FileKind)
})
