import { pastEveryView } from './everyView'

pastEveryView('dark', [400])
