import { closeExcursion, keyDevice, readPlace, revokeDevice, setPlace, setSensor } from './cold.ts';
import { endFreeze, readFreeze, replanFreeze, startFreeze } from './freeze.ts';
import { forgetPerson, joinPerson, setHouse } from './house.ts';
import { checkAcid, endAcid, liftAcid, startAcid } from './acid.ts';
import { correctSauceOperation, dressPiece, setSauce, withdrawSauce } from './sauces.ts';
import { endAge, lookAged, moveAged, setAgeing, setRack, startAge, weighAged } from './age.ts';
import { setService, withdrawService } from './services.ts';
import { changeCure, endCure, startCure, stepCure } from './cure.ts';
import { recordSlice } from './knife.ts';
import { importRecipes, noteRecipe, setLearning, setRecipe, withdrawRecipe } from './recipes.ts';
import { amendEntry, signDay, storeReadings } from './ledger.ts';
import type { Operation } from './operation.ts';
import { attachEvidence, closeTag } from './evidence.ts';
import { fileDocument, withdrawDocument } from './documents.ts';
import { ingredientIsBack, setIngredient, useInstead, withdrawIngredient } from './ingredients.ts';
import { setNotice, setProfile, setSheet, setSpecies } from './book.ts';
import { identifyLot, inspectLot, ownException, withdrawException } from './inspect.ts';
import { importNote } from './note.ts';
import { closeBoard, openBoardOperation, putBack, takePart, weighWaste } from './board.ts';
import { setKitchen, setTemplate } from './knife-books.ts';
import { combinePieces } from './batch.ts';
import { dividePiece, movePiece, readCold, reweighPiece, setDepth, splitPiece, trimPiece } from './pieces.ts';
import { printLabels } from './labels.ts';
import { closeDelivery, openDelivery, receiveLot } from './receive.ts';
import { returnLot } from './returns.ts';
import { endThaw, startThaw } from './thaw.ts';
import { discardPiece, readHold, servePiece, startHold } from './serve.ts';

/** Everything a person can do. Forms, API routes, the OpenAPI document and their tests all read this one list. */
export const OPERATIONS: readonly Operation[] = [
  openDelivery,
  receiveLot,
  closeDelivery,
  importNote,
  inspectLot,
  identifyLot,
  returnLot,
  attachEvidence,
  closeTag,
  ownException,
  withdrawException,
  openBoardOperation,
  takePart,
  weighWaste,
  putBack,
  closeBoard,
  combinePieces,
  dividePiece,
  splitPiece,
  trimPiece,
  reweighPiece,
  movePiece,
  setDepth,
  printLabels,
  setPlace,
  setTemplate,
  setKitchen,
  readCold,
  startFreeze,
  readFreeze,
  replanFreeze,
  endFreeze,
  startThaw,
  endThaw,
  setSensor,
  keyDevice,
  revokeDevice,
  readPlace,
  closeExcursion,
  storeReadings,
  startCure,
  changeCure,
  stepCure,
  endCure,
  startAcid,
  checkAcid,
  liftAcid,
  endAcid,
  dressPiece,
  fileDocument,
  withdrawDocument,
  setIngredient,
  withdrawIngredient,
  useInstead,
  ingredientIsBack,
  setSauce,
  correctSauceOperation,
  withdrawSauce,
  startAge,
  weighAged,
  lookAged,
  moveAged,
  endAge,
  setRack,
  setAgeing,
  setService,
  withdrawService,
  setRecipe,
  noteRecipe,
  withdrawRecipe,
  importRecipes,
  setLearning,
  recordSlice,
  startHold,
  readHold,
  servePiece,
  discardPiece,
  amendEntry,
  signDay,
  setHouse,
  setSpecies,
  setProfile,
  setSheet,
  setNotice,
  joinPerson,
  forgetPerson
];

export const operationByName = (name: string): Operation | undefined =>
  OPERATIONS.find((operation) => operation.name === name);
