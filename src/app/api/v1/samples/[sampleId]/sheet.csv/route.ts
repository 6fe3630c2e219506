export { GET } from '@/app/api/samples/[sampleId]/export/route'
