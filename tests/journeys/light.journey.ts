import { pastEveryView } from './everyView'

pastEveryView('light', [1280])
